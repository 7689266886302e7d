"use client";

import { ArrowDown, ArrowUp, CopyPlus, Trash2 } from "lucide-react";
import type { LinkAnswer } from "@/core/links";
import { lineAndColumn, type ElementEditName, type Explanation, type SourceNote } from "@/core/source";
import { AnswerWords } from "../../parts/walking/answer-words";
import { IconButton } from "../../parts/icon-button";
import { formatCount } from "../../parts/format";
import { noteSays } from "./code-marks";
import { elementEdits } from "./element-menu";
import type { SourceState } from "./source-sync";

interface Props {
  readonly state: SourceState | null;
  /** What the caret stands in. */
  readonly here: Explanation | null;
  readonly canEdit: boolean;
  readonly onEdit: (edit: ElementEditName) => void;
  readonly onColor: (from: number, anchor: DOMRect) => void;
  /** Goes to a place in the source. */
  readonly onGo: (offset: number) => void;
  /** Where the caret stands in the source. */
  readonly caret: number;
  readonly answer: LinkAnswer | null;
}

const icons: Readonly<Record<ElementEditName, typeof ArrowUp>> = {
  duplicate: CopyPlus,
  up: ArrowUp,
  down: ArrowDown,
  remove: Trash2,
};

/** Below the source: what is broken, or what the caret stands in and what can be done to it. */
export function SourceStatus(props: Props) {
  const { state, here, canEdit, onEdit, onColor, onGo, caret, answer } = props;
  const [trouble, ...more] = state?.troubles ?? [];
  const notes = trouble ? [] : (state?.reading.notes ?? []).filter(({ extent }) => extent !== null);
  const note = state && noteAt(state, notes, caret);
  const next = notes.find(({ extent }) => (extent?.from ?? 0) >= caret) ?? notes[0];
  return (
    <div className="flex min-h-9 items-center gap-2 border-t border-hairline px-3 py-1 text-sm">
      <div role="status" className="min-w-0 flex-1">
        {trouble && state ? (
          <button
            type="button"
            onClick={() => onGo(trouble.from)}
            className="rounded-sm text-left text-rowan hover:underline"
          >
            <Position text={state.text} offset={trouble.from} />: {trouble.says}
            <span className="text-soft">
              {more.length > 0 && ` And ${more.length} more.`} The sheet stays as it was.
            </span>
          </button>
        ) : (
          <span className={`line-clamp-2 ${note ? "text-clay" : "text-soft"}`}>
            {note ? noteSays(note) : here ? here.says : "Point at something to learn what it is."}
          </span>
        )}
      </div>
      {next && (
        <button
          type="button"
          onClick={() => onGo((next.extent?.from ?? 0) + 1)}
          className="shrink-0 rounded-sm px-1 text-xs text-clay hover:bg-kelp"
        >
          {formatCount(notes.length, "thing")} not kept as written
        </button>
      )}
      {!trouble && here?.seen?.kind === "color" && (
        <button
          type="button"
          aria-label={`Change ${here.seen.hex}`}
          title={`Change ${here.seen.hex}`}
          onClick={(event) => {
            if (here.seen?.kind === "color")
              onColor(here.seen.from, event.currentTarget.getBoundingClientRect());
          }}
          className="h-4 w-4 shrink-0 rounded-[3px] border border-hairline"
          style={{ background: here.seen.hex }}
        />
      )}
      {!trouble && answer && (
        <span className="shrink-0 text-xs">
          <AnswerWords answer={answer} />
        </span>
      )}
      {elementEdits.map(([edit, name]) => {
        const Icon = icons[edit];
        return (
          <IconButton
            key={edit}
            label={`${name} the element`}
            disabled={!canEdit}
            onClick={() => onEdit(edit)}
          >
            <Icon size={15} aria-hidden />
          </IconButton>
        );
      })}
    </div>
  );
}

/** The note about the tag that the caret stands in; null where there is none. */
function noteAt({ text }: SourceState, notes: readonly SourceNote[], caret: number): SourceNote | null {
  return (
    notes.findLast(({ extent }) => {
      const end = extent ? text.indexOf(">", extent.from) : -1;
      return extent !== null && extent.from <= caret && caret <= end + 1;
    }) ?? null
  );
}

function Position({ text, offset }: { text: string; offset: number }) {
  const { line, column } = lineAndColumn(text, offset);
  return (
    <b className="font-medium">
      Line {line}, column {column}
    </b>
  );
}
