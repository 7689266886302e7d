"use client";

import { Popover } from "radix-ui";
import { useMemo, useState } from "react";
import { toHex } from "@/core/color";
import { colorChoices } from "../../parts/fields/color-field";
import { PopoverPanel } from "../../parts/popover-panel";
import { useBench } from "../bench-context";
import type { SourceHandle } from "./built-source";

export interface ColorAt {
  /** Where the colour begins in the source. */
  readonly from: number;
  readonly anchor: DOMRect;
}

interface Props {
  readonly at: ColorAt;
  readonly handle: SourceHandle;
  readonly onClose: () => void;
}

/** A colour is six hex digits, or whatever else is written there up to what ends a value. */
const writtenColor = /^(#[0-9a-f]*|[a-z]+\([^)]*\)|[a-z]+)/i;

/** Another colour for one that stands in the source. */
export function ColorPopover({ at, handle, onClose }: Props) {
  const { palette } = useBench();
  const read = (): string => {
    const text = handle.view.state.doc.sliceString(at.from, at.from + 60);
    return writtenColor.exec(text)?.[0] ?? "";
  };
  const [value, setValue] = useState(() => toHex(read()));
  const anchor = useMemo(() => ({ current: { getBoundingClientRect: () => at.anchor } }), [at]);
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor} />
      <PopoverPanel label="Colour in the source" align="start" className="p-3">
        <colorChoices.Component
          value={value}
          palette={palette}
          onChange={(hex) => {
            if (hex === null) return;
            handle.sync.replace({ from: at.from, to: at.from + read().length, insert: hex });
            setValue(hex);
          }}
        />
      </PopoverPanel>
    </Popover.Root>
  );
}
