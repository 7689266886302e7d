"use client";

import { borderStyle, type Border } from "@/core/signature";
import { ChoiceField } from "../../parts/fields/choice-field";

interface Props {
  readonly label: string;
  readonly value: Border["style"];
  readonly onChange: (style: Border["style"]) => void;
  readonly disabled?: boolean;
}

/** How a border or divider is drawn. */
export function BorderStyleField(props: Props) {
  const choices = Object.fromEntries(borderStyle.choices.map((style) => [style, style])) as Record<
    Border["style"],
    string
  >;
  return <ChoiceField quiet className="w-20" choices={choices} {...props} />;
}
