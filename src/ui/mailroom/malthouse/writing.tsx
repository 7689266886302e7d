"use client";

/** Malthouse Mail: writing a letter. */
import Link from "next/link";
import { deskPath } from "@/contract";
import { deskClients } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { pathsOf } from "../parts/letter-paths";
import { PeopleField } from "../parts/people-field";
import { RichBox } from "../parts/rich-box";
import type { Colleague, WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";

const row = "grid grid-cols-[80px_1fr] items-center";

function Sent({ to, colleagues }: { to: readonly string[]; colleagues: readonly Colleague[] }) {
  const reached = to.map((address) =>
    colleagues.find(({ mail }) => mail.toLowerCase() === address.toLowerCase()),
  );
  const names = reached.map((colleague, index) => colleague?.name ?? to[index] ?? "");
  return (
    <div className="mt-4">
      <p role="status" className="text-lg">
        Your letter is with {names.join(", ")}.
      </p>
      {reached.map(
        (colleague) =>
          colleague && (
            <p key={colleague.id}>
              <Link href={deskPath(colleague.id, "malthouse")} className="text-(--mm-act) underline">
                Sit at {colleague.name}&apos;s desk and open it
              </Link>
            </p>
          ),
      )}
    </div>
  );
}

export function MalthouseWriting({ desk, start, colleagues }: WritingProps) {
  const writing = useWriting(desk, start);
  const paths = pathsOf(desk);
  const title =
    start.about?.how === "answer" ? "Answer" : start.about?.how === "forward" ? "Hand on" : "New letter";
  if (writing.sent) return <Sent to={[...writing.to, ...writing.cc]} colleagues={colleagues} />;
  return (
    <>
      <h1 className="text-2xl font-bold">{title}</h1>
      <form
        className="mt-4 space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          void writing.send();
        }}
      >
        {desk.addresses.length > 1 && (
          <div className={row}>
            <span aria-hidden>From</span>
            <ChoiceField
              label="From"
              quiet
              look="mm-field"
              value={writing.from}
              choices={Object.fromEntries(desk.addresses.map((address) => [address, address]))}
              onChange={writing.writeFrom}
            />
          </div>
        )}
        <div className={row}>
          <span aria-hidden>For</span>
          <PeopleField
            label="For"
            addresses={writing.to}
            colleagues={colleagues}
            onChange={(to) => writing.set({ to })}
            look="mm-field"
          />
        </div>
        <div className={row}>
          <span aria-hidden>Copies</span>
          <PeopleField
            label="Copies"
            addresses={writing.cc}
            colleagues={colleagues}
            onChange={(cc) => writing.set({ cc })}
            look="mm-field"
          />
        </div>
        <label className={row}>
          About
          <input
            className="mm-field"
            maxLength={200}
            value={writing.subject}
            onChange={(event) => writing.set({ subject: event.target.value })}
          />
        </label>
        <RichBox
          label="The letter"
          box={writing.box}
          initial={start.html}
          pictures={start.pictures}
          standIn={deskClients.malthouse.standIn}
          onChange={writing.changed}
          className="min-h-64"
        />
        {desk.held.length === 0 ? (
          <p className="text-(--mm-soft)">
            No signature goes under it yet:{" "}
            <Link href={paths.settings} className="text-(--mm-act) underline">
              paste one in Preferences
            </Link>
            .
          </p>
        ) : (
          <div className="flex items-center gap-2">
            <span aria-hidden>Under it</span>
            <ChoiceField
              label="Signature under it"
              quiet
              look="mm-field"
              className="w-56"
              value={writing.signature ?? ""}
              choices={{
                "": "no signature",
                ...Object.fromEntries(desk.held.map(({ id, name }) => [id, name])),
              }}
              onChange={(id) => writing.sign(id === "" ? null : id)}
            />
          </div>
        )}
        <div className="flex items-center gap-4">
          <button type="submit" className="mm-button" disabled={writing.busy}>
            Hand it over
          </button>
          <p role="status" className="text-sm text-(--mm-soft)">
            {writing.kept}
          </p>
          {writing.problem && (
            <p role="alert" className="text-(--mm-wrong)">
              {writing.problem} Your letter is still here.
            </p>
          )}
        </div>
      </form>
    </>
  );
}
