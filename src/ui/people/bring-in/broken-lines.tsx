"use client";

import { useId, useState } from "react";
import type { BrokenLine } from "@/core/people";
import { Button } from "../../parts/button";

interface Props {
  readonly broken: readonly BrokenLine[];
  /** Takes a line as it is now; empty leaves it out. */
  readonly onMend: (line: number, text: string) => void;
}

const most = 100;

/** Lines that cannot be read, each to be mended where it stands. Those that stay so are left out, and the others are brought in. */
export function BrokenLines({ broken, onMend }: Props) {
  if (broken.length === 0) return <p className="py-6 text-soft">Every line can be read.</p>;
  return (
    <>
      <p className="pb-2 text-sm text-soft">
        Mend a line here and it is read again. What stays as it is will be left out; all others are brought
        in.
      </p>
      <ul>
        {broken.slice(0, most).map((each) => (
          <Line key={`${each.line} ${each.text}`} {...each} onMend={onMend} />
        ))}
      </ul>
      {broken.length > most && (
        <p className="mt-2 text-soft">
          and {(broken.length - most).toLocaleString("en")} more: it may be easier to mend the list where it
          comes from.
        </p>
      )}
    </>
  );
}

function Line({ line, text, reason, onMend }: BrokenLine & Pick<Props, "onMend">) {
  const [typed, setTyped] = useState(text);
  const id = useId();
  const changed = typed !== text;
  const rows = Math.min(6, Math.max(1, typed.split("\n").length));
  return (
    <li className="border-b border-hairline py-2">
      <p className="flex items-baseline gap-2 text-sm">
        <span id={id} className="shrink-0 font-medium">
          Line {line.toLocaleString("en")}
        </span>
        <span id={`${id}-why`} className="text-clay">
          {reason}
        </span>
      </p>
      <div className="mt-1 flex items-start gap-2">
        <textarea
          aria-labelledby={id}
          aria-describedby={`${id}-why`}
          value={typed}
          rows={rows}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && !event.shiftKey) {
              event.preventDefault();
              if (changed) onMend(line, typed);
            }
            if (event.key === "Escape") setTyped(text);
          }}
          className="min-w-0 flex-1 resize-none rounded-sm border border-hairline bg-sheet px-2 py-1 font-mono text-xs"
        />
        <Button disabled={!changed} onClick={() => onMend(line, typed)}>
          Read it again
        </Button>
      </div>
    </li>
  );
}
