"use client";

/** Sluice: a loose sheet at the right, the days at the left. */
import Link from "next/link";
import { deskClients } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { pathsOf } from "../parts/letter-paths";
import { PeopleField } from "../parts/people-field";
import { RichBox } from "../parts/rich-box";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";
import { byDay } from "./letters";

export function SluiceSheet({ desk, start, colleagues, letters }: WritingProps) {
  const writing = useWriting(desk, start);
  const paths = pathsOf(desk);
  return (
    <div className="flex gap-8">
      <aside aria-label="Days" className="w-64 shrink-0 text-sm">
        {letters.letters.length === 0 && <p className="text-(--sl-soft)">No letter is on these pages yet.</p>}
        {byDay(letters.letters.slice(0, 20)).map(([day, those]) => (
          <section key={day}>
            <h2 className="sluice-day" suppressHydrationWarning>
              {day}
            </h2>
            {those.map(({ id, from, subject }) => (
              <p key={id} className="truncate">
                <Link href={paths.letter(id)} prefetch={false}>
                  {from.name}: {subject || "(no subject)"}
                </Link>
              </p>
            ))}
          </section>
        ))}
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
              <PeopleField
                label="Dear"
                addresses={writing.to}
                colleagues={colleagues}
                onChange={(to) => writing.set({ to })}
                look="sluice-field"
              />
            </div>
          </div>
          <div className="flex items-center gap-2">
            <span aria-hidden>with a copy for</span>
            <div className="flex-1">
              <PeopleField
                label="With a copy for"
                addresses={writing.cc}
                colleagues={colleagues}
                onChange={(cc) => writing.set({ cc })}
                look="sluice-field"
              />
            </div>
          </div>
          <label className="flex items-center gap-2">
            concerning
            <input
              className="sluice-field flex-1"
              maxLength={200}
              value={writing.subject}
              onChange={(event) => writing.set({ subject: event.target.value })}
            />
          </label>
          <RichBox
            label="The sheet"
            box={writing.box}
            initial={start.html}
            pictures={start.pictures}
            standIn={deskClients.sluice.standIn}
            onChange={writing.changed}
            className="min-h-72"
          />
          <div className="flex flex-wrap items-center gap-3">
            <span aria-hidden>my mark</span>
            <ChoiceField
              label="My mark"
              quiet
              look="sluice-field"
              className="w-44"
              value={writing.signature ?? ""}
              choices={{ "": "none", ...Object.fromEntries(desk.held.map(({ id, name }) => [id, name])) }}
              onChange={(id) => writing.sign(id === "" ? null : id)}
            />
            {desk.addresses.length > 1 && (
              <>
                <span aria-hidden>as</span>
                <ChoiceField
                  label="Writing as"
                  quiet
                  look="sluice-field"
                  className="w-64"
                  value={writing.from}
                  choices={Object.fromEntries(desk.addresses.map((address) => [address, address]))}
                  onChange={writing.writeFrom}
                />
              </>
            )}
            <button type="submit" className="sluice-act ml-auto" disabled={writing.busy}>
              Let it go
            </button>
          </div>
          <p role="status" className="text-sm text-(--sl-soft)">
            {writing.kept}
          </p>
          {writing.problem && (
            <p role="alert" className="text-(--sl-wrong)">
              {writing.problem} The sheet is still here.
            </p>
          )}
        </form>
      )}
    </div>
  );
}
