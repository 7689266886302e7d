"use client";

import Link from "next/link";
import { useRef, useState } from "react";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";
import { RichBox, writtenIn } from "./rich-box";

interface Props {
  readonly personId: string;
  /** The kept signature's HTML; empty when none is kept. */
  readonly signature: string;
  readonly to: string;
  /** What a mail link asked for; lines of the text are parted by `\n`. */
  readonly subject: string;
  readonly text: string;
  readonly colleagues: readonly { readonly id: string; readonly name: string; readonly mail: string }[];
}

/** How this webmail sets what is typed. */
const letterStyle = "font-family:Arial,Helvetica,sans-serif;font-size:14px;color:#000000";

const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");

/** Plain text as lines of a letter; an empty one to begin with where there is none. */
const asLines = (text: string): string =>
  text
    .split("\n")
    .map((line) => `<div dir="auto">${escaped(line) || "<br>"}</div>`)
    .join("");

/** Writing a letter, with the kept signature under it. */
export function NewLetter({ personId, signature, to: wanted, subject: asked, text, colleagues }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [to, setTo] = useState(wanted);
  const [subject, setSubject] = useState(asked);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [sentTo, setSentTo] = useState<string | null>(null);

  const send = async (): Promise<void> => {
    if (to === "") return setProblem("Choose who it goes to.");
    setBusy(true);
    setProblem(null);
    try {
      await ask(endpoints.sendMessage, {
        params: { person: personId },
        body: {
          toPersonId: to,
          subject,
          html: `<div style="${letterStyle}">${writtenIn(box.current)}</div>`,
        },
      });
      setSentTo(to);
    } catch (error) {
      setProblem(`${(error as Error).message} Your letter is still here.`);
    }
    setBusy(false);
  };

  if (sentTo !== null) {
    const colleague = colleagues.find(({ id }) => id === sentTo)!;
    return (
      <div className="mt-4">
        <p role="status" className="text-lg">
          Your letter is with {colleague.name}.
        </p>
        <Link href={`/mailroom/${sentTo}`} className="text-(--mm-act) underline">
          Sit at {colleague.name}&apos;s desk and open it
        </Link>
      </div>
    );
  }

  return (
    <form
      className="mt-4 space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <label className="grid grid-cols-[80px_1fr] items-center">
        For
        <select className="mm-field" value={to} onChange={(event) => setTo(event.target.value)}>
          <option value="">choose a colleague</option>
          {colleagues.map(({ id, name, mail }) => (
            <option key={id} value={id}>
              {name} ({mail})
            </option>
          ))}
        </select>
      </label>
      <label className="grid grid-cols-[80px_1fr] items-center">
        About
        <input
          className="mm-field"
          value={subject}
          maxLength={200}
          onChange={(event) => setSubject(event.target.value)}
        />
      </label>
      <RichBox
        label="The letter"
        box={box}
        initial={`${asLines(text)}${signature ? `<div><br></div><div>${signature}</div>` : ""}`}
        className="min-h-72"
      />
      {signature === "" && (
        <p className="text-(--mm-soft)">
          No signature goes under it yet:{" "}
          <Link href={`/mailroom/${personId}/preferences`} className="text-(--mm-act) underline">
            paste one in Preferences
          </Link>
          .
        </p>
      )}
      <div className="flex items-center gap-4">
        <button type="submit" className="mm-button" disabled={busy}>
          Hand it over
        </button>
        {problem && (
          <p role="alert" className="text-(--mm-wrong)">
            {problem}
          </p>
        )}
      </div>
    </form>
  );
}
