"use client";

import Link from "next/link";
import { Popover } from "radix-ui";
import { useState } from "react";
import type { WhoDoesNot } from "@/workers/who-fits.worker";
import { formatCount } from "../../parts/format";
import { PopoverPanel } from "../../parts/popover-panel";
import type { WhoFitsNow } from "./use-who-fits";

interface Props {
  readonly signatureId: string;
  readonly fits: WhoFitsNow;
  /** Draws the sheet with somebody's details, and shows their line. */
  readonly onTry: (who: WhoDoesNot, position: number) => void;
}

const doNotFit = (count: number): string =>
  `${count.toLocaleString("en")} ${count === 1 ? "does" : "do"} not fit`;

/** Beside the station: for how many the signature does not fit as it is now. Who they are opens below it. */
export function FitMark({ signatureId, fits: { all, fitting, worst }, onTry }: Props) {
  const [open, setOpen] = useState(false);
  const tight = all - fitting;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        title={`Tried with the details of ${formatCount(all, "person", "people")}`}
        className={`whitespace-nowrap rounded-sm px-1 text-xs leading-[18px] hover:bg-kelp ${tight > 0 ? "font-semibold text-clay" : "text-soft"}`}
      >
        {tight > 0 ? doNotFit(tight) : "all fit"}
      </Popover.Trigger>
      <PopoverPanel label="Whose details fit" align="start" className="w-[400px] p-4 text-sm">
        <h2 className="font-serif text-xl">
          {fitting.toLocaleString("en")} of {all.toLocaleString("en")} fit
        </h2>
        <p className="mb-2 text-soft">
          {tight > 0
            ? "These lines wrap or stick out. Choose one to see it on the sheet."
            : "Nobody’s lines wrap or stick out."}
        </p>
        <ul>
          {worst.map((who) => (
            <li key={who.id} className="border-t border-hairline py-1.5">
              <bdi className="font-medium">{who.person.name}</bdi>
              {who.lines.map((line) => (
                <button
                  key={line.position}
                  type="button"
                  onClick={() => {
                    onTry(who, line.position);
                    setOpen(false);
                  }}
                  className="block w-full rounded-sm text-left hover:bg-kelp"
                >
                  <bdi className="block truncate underline decoration-hairline">{line.text}</bdi>
                  <span className="block text-xs text-clay">{line.says}</span>
                </button>
              ))}
            </li>
          ))}
        </ul>
        <p className="border-t border-hairline pt-2">
          {tight > worst.length && (
            <span className="text-soft">and {(tight - worst.length).toLocaleString("en")} more. </span>
          )}
          <Link href={`/signatures/${signatureId}/proof#everybody`} className="text-pine underline">
            {tight > 0 ? "Everybody, and what would make them fit" : "How high it comes out for everybody"}
          </Link>
        </p>
      </PopoverPanel>
    </Popover.Root>
  );
}
