"use client";

import { Popover } from "radix-ui";
import { contrast, darkCanvas, lightCanvas, readableContrast } from "@/core/color";
import { labelClass } from "./label";
import { PopoverPanel } from "../popover-panel";
import { useId, useState } from "react";
import { HexColorPicker } from "react-colorful";
import { PictureColors, type PalettePicture } from "./picture-colors";
import { Swatches } from "./swatches";

/** Where colours can be taken from. */
export interface Palette {
  readonly brand: readonly string[];
  readonly signature: readonly string[];
  readonly pictures: readonly PalettePicture[];
}

interface Props {
  readonly label: string;
  /** Six hex digits, or null for none. */
  readonly value: string | null;
  readonly onChange: (value: string | null) => void;
  readonly palette: Palette;
  /** Whether "none" can be chosen. */
  readonly clearable?: boolean;
  readonly quiet?: boolean;
}

const readHex = (typed: string): string | null => {
  const found = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(typed.trim())?.[1];
  if (!found) return null;
  const six = found.length === 3 ? found.replace(/./g, "$&$&") : found;
  return `#${six.toUpperCase()}`;
};

/** How a colour stands out on the two canvases that mail is read on. */
function Contrast({ color }: { color: string }) {
  return (
    <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3 text-xs text-soft">
      {(
        [
          ["on white", lightCanvas],
          ["on black, in dark mode", darkCanvas],
        ] as const
      ).map(([name, canvas]) => {
        const ratio = contrast(color, canvas);
        return (
          <div key={name} className="contents">
            <dt>Contrast {name}</dt>
            <dd className={ratio < readableContrast ? "text-clay" : "text-ink"}>
              {ratio.toFixed(1)}
              {ratio < readableContrast && " weak"}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** A colour: typed as hex, taken from the signature's own, or picked. */
export function ColorField({ label, value, onChange, palette, clearable = false, quiet = false }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState(false);

  const commit = (): void => {
    if (draft === null) return;
    const empty = draft.trim() === "" || draft.trim() === "none";
    const hex = readHex(draft);
    if (!hex && !(empty && clearable)) return setProblem(true);
    setDraft(null);
    setProblem(false);
    if (hex !== value) onChange(hex);
  };

  return (
    <div>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <span className="flex items-center gap-1.5">
        <Popover.Root>
          <Popover.Trigger
            aria-label={`Pick ${label.toLowerCase()}`}
            title={`Pick ${label.toLowerCase()}`}
            className="h-4 w-4 shrink-0 rounded-[3px] border border-hairline"
            style={{ background: value ?? "repeating-linear-gradient(45deg,#fff 0 3px,#d9d5c8 3px 6px)" }}
          />
          <PopoverPanel label={label} className="p-3">
            <HexColorPicker color={value ?? "#ffffff"} onChange={(color) => onChange(color.toUpperCase())} />
            {value && <Contrast color={value} />}
            <Swatches label="Of the brand" colors={palette.brand} onPick={onChange} />
            <Swatches label="In this signature" colors={palette.signature} onPick={onChange} />
            <PictureColors pictures={palette.pictures} onPick={onChange} />
            {clearable && (
              <button
                type="button"
                onClick={() => onChange(null)}
                className="mt-2 text-sm text-pine underline"
              >
                None
              </button>
            )}
          </PopoverPanel>
        </Popover.Root>
        <input
          id={id}
          autoComplete="off"
          spellCheck={false}
          value={draft ?? value ?? "none"}
          aria-invalid={problem}
          onChange={(event) => setDraft(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === "Enter") commit();
            if (event.key === "Escape") {
              setDraft(null);
              setProblem(false);
            }
          }}
          className="w-[68px] border-b border-soft bg-transparent py-0.5 focus:border-pine"
        />
      </span>
      {problem && (
        <span role="alert" className="block text-xs text-rowan">
          like #3F5B2E
        </span>
      )}
    </div>
  );
}
