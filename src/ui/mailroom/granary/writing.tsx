"use client";

/** Granary: a fresh leaf, its lines ruled like the ledger. */
import Link from "next/link";
import type { ReactNode } from "react";
import { deskClients } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { pathsOf } from "../parts/letter-paths";
import { PeopleField } from "../parts/people-field";
import { RichBox } from "../parts/rich-box";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";

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
          <ChoiceField
            label="Written by"
            quiet
            look="granary-field"
            value={writing.from}
            choices={Object.fromEntries(desk.addresses.map((address) => [address, address]))}
            onChange={writing.writeFrom}
          />
        </Line>
      )}
      <Line name="Written to">
        <PeopleField
          label="Written to"
          addresses={writing.to}
          colleagues={colleagues}
          onChange={(to) => writing.set({ to })}
          look="granary-field"
        />
      </Line>
      <Line name="Also to">
        <PeopleField
          label="Also to"
          addresses={writing.cc}
          colleagues={colleagues}
          onChange={(cc) => writing.set({ cc })}
          look="granary-field"
        />
      </Line>
      <Line name="Matter">
        <input
          aria-label="Matter"
          className="granary-field"
          maxLength={200}
          value={writing.subject}
          onChange={(event) => writing.set({ subject: event.target.value })}
        />
      </Line>
      <Line name="Closes with">
        <ChoiceField
          label="Closes with"
          quiet
          look="granary-field"
          value={writing.signature ?? ""}
          choices={{ "": "nothing", ...Object.fromEntries(desk.held.map(({ id, name }) => [id, name])) }}
          onChange={(id) => writing.sign(id === "" ? null : id)}
        />
      </Line>
      <RichBox
        label="The leaf"
        box={writing.box}
        initial={start.html}
        pictures={start.pictures}
        standIn={deskClients.granary.standIn}
        onChange={writing.changed}
        className="my-3 min-h-72"
      />
      <div className="flex items-center gap-5">
        <button type="submit" className="granary-press" disabled={writing.busy}>
          Send the leaf
        </button>
        <p role="status" className="text-sm text-(--gr-soft)">
          {writing.kept}
        </p>
        {writing.problem && (
          <p role="alert" className="text-(--gr-wrong)">
            {writing.problem} The leaf is still here.
          </p>
        )}
      </div>
    </form>
  );
}
