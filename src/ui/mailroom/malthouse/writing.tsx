"use client";

/** Malthouse Mail: writing a letter. */
import Link from "next/link";
import { deskPath } from "@/contract";
import { pathsOf } from "../parts/letter-paths";
import type { Colleague, WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";
import {
  FromField,
  LetterField,
  SignField,
  SubjectField,
  WhomField,
  WritingSays,
} from "../parts/writing-fields";

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
            <FromField desk={desk} writing={writing} label="From" look="mm-field" />
          </div>
        )}
        <div className={row}>
          <span aria-hidden>For</span>
          <WhomField writing={writing} which="to" label="For" colleagues={colleagues} look="mm-field" />
        </div>
        <div className={row}>
          <span aria-hidden>Copies</span>
          <WhomField writing={writing} which="cc" label="Copies" colleagues={colleagues} look="mm-field" />
        </div>
        <label className={row}>
          About
          <SubjectField writing={writing} look="mm-field" />
        </label>
        <LetterField desk={desk} start={start} writing={writing} label="The letter" className="min-h-64" />
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
            <SignField
              desk={desk}
              writing={writing}
              label="Signature under it"
              none="no signature"
              look="mm-field"
              className="w-56"
            />
          </div>
        )}
        <div className="flex items-center gap-4">
          <button type="submit" className="mm-button" disabled={writing.busy}>
            Hand it over
          </button>
          <button type="button" className="text-(--mm-act) underline" onClick={() => void writing.drop()}>
            Throw it away
          </button>
          <WritingSays writing={writing} still="Your letter is still here." />
        </div>
      </form>
    </>
  );
}
