"use client";

import { useState } from "react";
import { toast } from "sonner";
import { readLink } from "@/core/links";
import type { PlacedLink } from "@/core/signature";

interface Props {
  readonly link: PlacedLink;
  /** Where it leads, as people write it. */
  readonly shown: string;
  /** Of numbers that are written without one; null where none is known. */
  readonly callingCode: string | null;
  readonly onChange: (link: PlacedLink, href: string) => void;
}

/** An address that is changed where it stands; one that follows from a field or from what is written is only read. */
export function AddressCell({ link, shown, callingCode, onChange }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  /** Whether it was left by a key: the focus stays in the cell. */
  const [byKey, setByKey] = useState(false);
  const leave = (): void => {
    setDraft(null);
    setProblem(null);
  };
  const commit = (): void => {
    if (draft === null) return;
    if (draft.trim() === link.href) return leave();
    const reading = readLink(draft, { callingCode });
    if (!reading.ok) return setProblem(reading.message);
    onChange(link, reading.href);
    if (reading.changes.length > 0) toast(reading.changes.join(" "));
    leave();
  };
  if (!link.byHand) return <span className="block truncate font-mono text-[13px]">{shown}</span>;
  if (draft === null)
    return (
      <button
        type="button"
        autoFocus={byKey}
        title={`Change ${link.href}`}
        onClick={() => {
          setDraft(link.href);
          setByKey(false);
        }}
        className="block w-full truncate border-b border-transparent text-left font-mono text-[13px] hover:border-hairline"
      >
        {shown}
      </button>
    );
  return (
    <>
      <input
        autoFocus
        aria-label={`Address of ${link.text.trim() || "the picture"}`}
        value={draft}
        aria-invalid={problem !== null}
        onChange={(event) => {
          setDraft(event.target.value);
          setProblem(null);
        }}
        onBlur={commit}
        onKeyDown={(event) => {
          setByKey(event.key === "Enter" || event.key === "Escape");
          if (event.key === "Enter") commit();
          if (event.key === "Escape") leave();
        }}
        className="w-full border-b border-pine bg-transparent font-mono text-[13px]"
      />
      {problem && (
        <span role="alert" className="block text-xs text-rowan">
          {problem}
        </span>
      )}
    </>
  );
}
