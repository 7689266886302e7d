"use client";

import { ChevronDown } from "lucide-react";
import { Popover } from "radix-ui";
import { PopoverPanel } from "../popover-panel";
import { useState } from "react";
import { fontStack, webSafeFont, webSafeFonts } from "@/core/signature";
import { TextField } from "./text-field";

interface Props {
  readonly label: string;
  /** Null where there are several. */
  readonly value: string | null;
  readonly onChange: (family: string) => void;
  readonly className?: string;
}

/** What a recipient sees where a font is missing. */
const fallsTo = (family: string): string => {
  const font = webSafeFont(family);
  return font?.fallbacks[0] ?? "Arial";
};

/** A font, each shown in its own face, with where it is found and what falls in where it is missing. */
export function FontField({ label, value, onChange, className = "" }: Props) {
  const [open, setOpen] = useState(false);
  const [own, setOwn] = useState("");
  const choose = (family: string): void => {
    setOpen(false);
    setOwn("");
    if (family !== value) onChange(family);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${label}: ${value ?? "mixed"}`}
        title={
          value === null
            ? "Several fonts"
            : (webSafeFont(value)?.foundOn ?? "Not on most machines: recipients will see Arial")
        }
        className={`inline-flex h-7 items-center justify-between gap-1 rounded-sm border-b border-soft px-1 hover:bg-kelp ${className}`}
        style={value === null ? undefined : { fontFamily: fontStack(value) }}
      >
        <span className={`truncate ${value === null ? "text-soft" : ""}`}>{value ?? "mixed"}</span>
        <ChevronDown size={14} aria-hidden className="shrink-0 text-soft" />
      </Popover.Trigger>
      <PopoverPanel label={label} align="start" className="w-80 py-1">
        <ul>
          {webSafeFonts.map(({ family, foundOn }) => (
            <li key={family}>
              <button
                type="button"
                aria-pressed={family === value}
                aria-label={family}
                onClick={() => choose(family)}
                className={`block w-full px-3 py-1 text-left hover:bg-kelp ${family === value ? "bg-kelp" : ""}`}
              >
                <span className="block text-[15px]" style={{ fontFamily: fontStack(family) }}>
                  {family}
                </span>
                <span className="block text-xs text-soft">
                  On {foundOn}. Where it is missing: {fallsTo(family)}.
                </span>
              </button>
            </li>
          ))}
        </ul>
        <form
          className="mt-1 border-t border-hairline px-3 py-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (own.trim()) choose(own.trim());
          }}
        >
          <TextField
            label="Another font, which recipients without it see as Arial"
            value={own}
            maxLength={60}
            placeholder={value === null || webSafeFont(value) ? "its name" : value}
            onChange={(event) => setOwn(event.target.value)}
          />
        </form>
      </PopoverPanel>
    </Popover.Root>
  );
}
