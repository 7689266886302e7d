"use client";

import type { ComponentProps, ReactNode } from "react";
import type { OpenSignature } from "@/contract";
import type { Finding } from "@/core/checks";
import type { Person } from "@/core/people";
import { lazily, useAhead } from "../../parts/lazily";
import { Station } from "../station";
import { TakeBack } from "./single-steps";
import type { EditedSignature } from "./use-signature";

const conflict = lazily(() => import("./conflict-dialog").then(({ ConflictDialog }) => ConflictDialog));
const rooms = [conflict];

interface Props extends Pick<ComponentProps<typeof Station>, "people" | "current"> {
  readonly signature: OpenSignature;
  readonly edited: EditedSignature;
  readonly findings: readonly Finding[];
  readonly person: Person | null;
  readonly base: string;
  readonly children: ReactNode;
}

/** A screen of a signature that is edited on it in single steps: the last is taken back, and two versions ask. */
export function EditingStation({ signature, edited, findings, person, base, children, ...shown }: Props) {
  useAhead(rooms);
  return (
    <Station
      {...shown}
      signature={{ ...signature, findings }}
      saving={edited.saving}
      besideSaved={<TakeBack edited={edited} />}
    >
      {children}
      {edited.saving.kind === "stale" && (
        <conflict.Component signature={edited} person={person} base={base} />
      )}
    </Station>
  );
}
