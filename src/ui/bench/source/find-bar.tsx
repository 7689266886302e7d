"use client";

import { X } from "lucide-react";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { findInSource, mostMatches, type Match } from "@/core/source";
import { Button } from "../../parts/button";
import { CheckField } from "../../parts/fields/check-field";
import { TextField } from "../../parts/fields/text-field";
import { IconButton } from "../../parts/icon-button";
import { formatCount } from "../../parts/format";
import type { SourceHandle } from "./built-source";
import { goTo } from "./code-marks";

interface Props {
  readonly text: string;
  readonly handle: SourceHandle;
  readonly onClose: () => void;
}

/** Finding in the source, and putting something else in its place: each place is shown before it is changed. */
export function FindBar({ text, handle, onClose }: Props) {
  const [sought, setSought] = useState(() => {
    const { from, to } = handle.view.state.selection.main;
    const chosen = handle.view.state.sliceDoc(from, to);
    return chosen.includes("\n") ? "" : chosen;
  });
  const [put, setPut] = useState("");
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(false);
  /** Places that are left as they are, by where they begin. */
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [at, setAt] = useState(-1);
  const field = useRef<HTMLInputElement>(null);
  const id = useId();
  useEffect(() => field.current?.select(), []);
  const matches = useMemo(
    () => findInSource(text, sought, { matchCase, wholeWords }),
    [text, sought, matchCase, wholeWords],
  );
  const chosen = matches.filter(({ from }) => !left.has(from));

  const go = (index: number): void => {
    const match = matches[(index + matches.length) % Math.max(1, matches.length)];
    if (!match) return;
    setAt(matches.indexOf(match));
    goTo(handle.view, match.from, match.to);
    handle.sync.followCaret(match.from);
  };
  const replace = (): void => {
    handle.sync.replace(chosen.map(({ from, to }) => ({ from, to, insert: put })));
    setLeft(new Set());
    const { troubles } = handle.sync.present;
    toast(
      `${formatCount(chosen.length, "place")} replaced in the source.${troubles.length > 0 ? " It is broken now, so the sheet stays as it was." : ""}`,
    );
  };
  const typed = (change: () => void): void => {
    change();
    setLeft(new Set());
    setAt(-1);
  };

  return (
    <form
      role="search"
      aria-label="Find and replace in the source"
      className="border-b border-hairline px-3 py-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        go(at + 1);
      }}
      onKeyDown={(event) => {
        if (event.key !== "Escape") return;
        event.stopPropagation();
        onClose();
      }}
    >
      <div className="flex items-end gap-3">
        <TextField
          ref={field}
          mono
          label="Find"
          value={sought}
          onChange={(event) => typed(() => setSought(event.target.value))}
          onKeyDown={(event) => {
            if (event.key === "Enter" && event.shiftKey) {
              event.preventDefault();
              go(at - 1);
            }
          }}
          className="min-w-0 flex-1"
        />
        <TextField
          mono
          label="Put in its place"
          value={put}
          onChange={(event) => setPut(event.target.value)}
          className="min-w-0 flex-1"
        />
        <Button disabled={chosen.length === 0 || put === sought} onClick={replace}>
          Replace {chosen.length > 0 ? chosen.length : ""}
        </Button>
        <IconButton label="Close finding" onClick={onClose}>
          <X size={15} aria-hidden />
        </IconButton>
      </div>
      <div className="flex items-center gap-4 pt-1.5 text-xs">
        <CheckField
          label="As typed, capitals too"
          checked={matchCase}
          onChange={(on) => typed(() => setMatchCase(on))}
        />
        <CheckField
          label="Whole words"
          checked={wholeWords}
          onChange={(on) => typed(() => setWholeWords(on))}
        />
        <span role="status" className="ml-auto text-soft">
          {sought === ""
            ? ""
            : matches.length === 0
              ? "Not in the source."
              : matches.length >= mostMatches
                ? `The first ${mostMatches} places`
                : formatCount(matches.length, "place")}
        </span>
      </div>
      {matches.length > 0 && (
        <ul aria-label="Places" className="mt-1.5 max-h-36 overflow-y-auto font-mono text-xs leading-[18px]">
          {matches.map((match, index) => (
            <li key={match.from} className={`flex items-center gap-2 ${index === at ? "bg-kelp" : ""}`}>
              <input
                type="checkbox"
                id={`${id}-${match.from}`}
                aria-label={`Replace on line ${match.line}`}
                checked={!left.has(match.from)}
                onChange={() =>
                  setLeft((before) => {
                    const next = new Set(before);
                    if (!next.delete(match.from)) next.add(match.from);
                    return next;
                  })
                }
                className="shrink-0 accent-pine"
              />
              <button
                type="button"
                onClick={() => go(index)}
                className="min-w-0 truncate rounded-sm text-left hover:bg-kelp"
              >
                <span className="inline-block w-8 text-soft">{match.line}</span>
                <Preview match={match} text={text} put={left.has(match.from) ? null : put} />
              </button>
            </li>
          ))}
        </ul>
      )}
    </form>
  );
}

/** The line with what is found struck through, and what comes in its place. */
function Preview({ match, text, put }: { match: Match; text: string; put: string | null }) {
  const found = text.slice(match.from, match.to);
  const changed = put !== null && put !== found && put !== "";
  return (
    <>
      {match.before}
      {changed ? (
        <>
          <del className="text-rowan">{found}</del>
          <ins className="bg-kelp text-pine no-underline">{put}</ins>
        </>
      ) : (
        <mark className="bg-kelp text-ink">{found}</mark>
      )}
      {match.after}
    </>
  );
}
