"use client";

/** Sluice: a loose sheet at the right, the days at the left. */
import Link from "next/link";
import { matterOf, whoIn } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";
import {
  FromField,
  LetterField,
  SignField,
  SubjectField,
  WhomField,
  WritingSays,
} from "../parts/writing-fields";
import { Days } from "./days";

export function SluiceSheet({ desk, start, colleagues, letters }: WritingProps) {
  const writing = useWriting(desk, start);
  const paths = pathsOf(desk);
  return (
    <div className="flex gap-8">
      <aside aria-label="Days" className="w-64 shrink-0 text-sm">
        {letters.letters.length === 0 && <p className="text-(--sl-soft)">No letter is on these pages yet.</p>}
        <Days letters={letters.letters.slice(0, 20)}>
          {(letter) => (
            <p key={letter.id} className="truncate">
              <Link href={paths.letter(letter.id)} prefetch={false}>
                {whoIn("in", letter)}: {matterOf(letter)}
              </Link>
            </p>
          )}
        </Days>
      </aside>
      {writing.sent ? (
        <div className="sluice-sheet">
          <p role="status" className="text-xl">
            The sheet is on its way.
          </p>
          <Link href={paths.letters("sent")}>Letters that were written</Link>
        </div>
      ) : (
        <form
          className="sluice-sheet space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            void writing.send();
          }}
        >
          <h1 className="text-xl">
            {start.about ? (start.about.how === "answer" ? "A reply" : "To send further") : "A loose sheet"}
          </h1>
          <div className="flex items-center gap-2">
            <span aria-hidden>Dear</span>
            <div className="flex-1">
              <WhomField
                writing={writing}
                which="to"
                label="Dear"
                colleagues={colleagues}
                look="desk-field"
              />
            </div>
          </div>
          <div className="flex items-center gap-2">
            <span aria-hidden>with a copy for</span>
            <div className="flex-1">
              <WhomField
                writing={writing}
                which="cc"
                label="With a copy for"
                colleagues={colleagues}
                look="desk-field"
              />
            </div>
          </div>
          <label className="flex items-center gap-2">
            concerning
            <SubjectField writing={writing} look="desk-field flex-1" />
          </label>
          <LetterField desk={desk} start={start} writing={writing} label="The sheet" className="min-h-72" />
          <div className="flex flex-wrap items-center gap-3">
            <span aria-hidden>my mark</span>
            <SignField
              desk={desk}
              writing={writing}
              label="My mark"
              none="none"
              look="desk-field"
              className="w-44"
            />
            {desk.addresses.length > 1 && (
              <>
                <span aria-hidden>as</span>
                <FromField
                  desk={desk}
                  writing={writing}
                  label="Writing as"
                  look="desk-field"
                  className="w-64"
                />
              </>
            )}
            <button type="button" className="ml-auto underline" onClick={() => void writing.drop()}>
              Tear it up
            </button>
            <button type="submit" className="sluice-act" disabled={writing.busy}>
              Let it go
            </button>
          </div>
          <WritingSays writing={writing} still="The sheet is still here." />
        </form>
      )}
    </div>
  );
}
