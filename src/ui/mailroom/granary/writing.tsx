"use client";

/** Granary: a fresh leaf, its lines ruled like the ledger. */
import Link from "next/link";
import type { ReactNode } from "react";
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

const titles = { answer: "A leaf in return", forward: "A leaf passed on" } as const;

const Line = ({ name, children }: { name: string; children: ReactNode }) => (
  <div className="granary-row grid grid-cols-[110px_1fr] items-center gap-3 py-1">
    <span aria-hidden className="text-(--gr-soft)">
      {name}
    </span>
    {children}
  </div>
);

export function GranaryWriting({ desk, start, colleagues }: WritingProps) {
  const writing = useWriting(desk, start);
  const paths = pathsOf(desk);
  if (writing.sent)
    return (
      <div className="py-6">
        <p role="status" className="text-xl">
          The leaf went out.
        </p>
        <Link href={paths.letters("sent")} className="granary-word">
          See it in the book of what went out
        </Link>
      </div>
    );
  return (
    <form
      className="granary-leaf mt-4"
      onSubmit={(event) => {
        event.preventDefault();
        void writing.send();
      }}
    >
      <h1 className="mb-2 text-2xl">{start.about ? titles[start.about.how] : "A fresh leaf"}</h1>
      {desk.addresses.length > 1 && (
        <Line name="Written by">
          <FromField desk={desk} writing={writing} label="Written by" look="desk-field" />
        </Line>
      )}
      <Line name="Written to">
        <WhomField
          writing={writing}
          which="to"
          label="Written to"
          colleagues={colleagues}
          look="desk-field"
        />
      </Line>
      <Line name="Also to">
        <WhomField writing={writing} which="cc" label="Also to" colleagues={colleagues} look="desk-field" />
      </Line>
      <Line name="Matter">
        <SubjectField writing={writing} label="Matter" look="desk-field" />
      </Line>
      <Line name="Closes with">
        <SignField desk={desk} writing={writing} label="Closes with" none="nothing" look="desk-field" />
      </Line>
      <LetterField desk={desk} start={start} writing={writing} label="The leaf" className="my-3 min-h-72" />
      <div className="flex items-center gap-5">
        <button type="submit" className="granary-press" disabled={writing.busy}>
          Send the leaf
        </button>
        <button type="button" className="granary-word" onClick={() => void writing.drop()}>
          Crumple it
        </button>
        <WritingSays writing={writing} still="The leaf is still here." />
      </div>
    </form>
  );
}
