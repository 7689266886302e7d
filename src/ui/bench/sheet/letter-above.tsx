"use client";

import { PenLine } from "lucide-react";
import { Popover } from "radix-ui";
import { PopoverPanel } from "../../parts/popover-panel";
import { fontStack, setSettings } from "@/core/signature";
import { Button } from "../../parts/button";
import { ColorField } from "../../parts/fields/color-field";
import { FontField } from "../../parts/fields/font-field";
import { TextSizeField } from "../../parts/fields/text-size-field";
import { useBench } from "../bench-context";

/** The end of a letter above the signature, set as the user's own letters are. */
export function LetterAbove() {
  const { letterType, settings } = useBench();
  const { font, size, color } = letterType;
  return (
    <div className="relative mb-3">
      <div
        aria-hidden
        // A letter in that direction begins at that edge, whatever its words are.
        className={`select-none opacity-70 ${settings.direction === "rtl" ? "text-right" : ""}`}
        style={{
          fontFamily: fontStack(font),
          fontSize: size,
          lineHeight: `${Math.round(size * 1.45)}px`,
          color,
        }}
      >
        <p>Dear Ifor,</p>
        <p>
          The second tray came up on Tuesday, eleven days early.
          <br />I will bring the counts to the meeting.
        </p>
      </div>
      <LetterTypeSetting />
    </div>
  );
}

/** Says how the user's letters are set, and sets the signature to match. */
function LetterTypeSetting() {
  const { editor, letterType, setLetterType, palette, settings } = useBench();
  const { font, size, color } = letterType;
  const matches = settings.font === font && settings.size === size && settings.textColor === color;
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="How your letters are set"
        className={`absolute -top-2 inline-flex items-center gap-1 rounded-sm px-1 text-xs text-soft hover:bg-kelp ${settings.direction === "rtl" ? "left-0" : "right-0"}`}
      >
        <PenLine size={13} aria-hidden />
        {font} {size}
      </Popover.Trigger>
      <PopoverPanel label="How your letters are set" align="end" className="w-72 p-3">
        <p className="mb-2 text-xs text-soft">
          What you write mail in. The grey lines show it, so that you see your signature under it.
        </p>
        <FontField
          label="Font of your letters"
          value={font}
          onChange={(family) => setLetterType({ ...letterType, font: family })}
          className="w-full"
        />
        <div className="mt-2 flex gap-4">
          <TextSizeField
            label="Size of your letters"
            value={size}
            onChange={(px) => setLetterType({ ...letterType, size: px })}
          />
          <ColorField
            label="Colour of your letters"
            value={color}
            palette={palette}
            onChange={(hex) => hex && setLetterType({ ...letterType, color: hex })}
          />
        </div>
        <Button
          look="primary"
          className="mt-3"
          disabled={matches}
          onClick={() =>
            editor.apply(({ tr }) => setSettings(tr, { font, size, textColor: color }), {
              focus: false,
            })
          }
        >
          {matches ? "The signature matches" : "Set the signature to match"}
        </Button>
      </PopoverPanel>
    </Popover.Root>
  );
}
