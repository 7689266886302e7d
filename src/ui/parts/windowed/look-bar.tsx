"use client";

import type { ReactNode } from "react";
import { longestSearch } from "@/contract";
import { TextField } from "../fields/text-field";

interface Props {
  readonly label: string;
  /** By what something is found. */
  readonly placeholder: string;
  readonly look: string;
  readonly onLook: (look: string) => void;
  /** What came of it; null while nothing is looked for. */
  readonly says: string | null;
  /** What else the list is put in order by. */
  readonly children?: ReactNode;
}

/** Looking for something in a long list. */
export function LookBar({ label, placeholder, look, onLook, says, children }: Props) {
  return (
    <div role="search" className="mb-4 flex flex-wrap items-end gap-x-8 gap-y-2">
      <TextField
        label={label}
        type="search"
        value={look}
        maxLength={longestSearch}
        placeholder={placeholder}
        onChange={(event) => onLook(event.target.value)}
        className="w-64"
      />
      {children}
      <p role="status" className="ml-auto text-sm text-soft">
        {says}
      </p>
    </div>
  );
}

/** Where nothing was found, with the way back to everything. */
export function NothingFound({ says, onShowAll }: { says: string; onShowAll: () => void }) {
  return (
    <p className="border-t border-hairline py-10 text-center text-soft">
      {says}{" "}
      <button type="button" className="text-pine underline" onClick={onShowAll}>
        Show all of them
      </button>
    </p>
  );
}
