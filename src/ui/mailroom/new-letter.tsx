"use client";

import Link from "next/link";
import { useRef, useState } from "react";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";
import { useContractForm } from "../parts/asking/use-contract-form";
import { ChoiceField } from "../parts/fields/choice-field";
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
  const [sentTo, setSentTo] = useState<string | null>(null);
  // What is written stands in the box, and is read when it is sent.
  const form = useContractForm(null, { to: wanted, subject: asked }, async ({ to, subject }) => {
    if (to === "") throw new Error("Choose who it goes to.");
    await ask(endpoints.sendMessage, {
      params: { person: personId },
      body: {
        toPersonId: to,
        subject,
        html: `<div style="${letterStyle}">${writtenIn(box.current)}</div>`,
      },
    });
    setSentTo(to);
  });
  const { name, ref, onBlur, onChange } = form.field("subject");

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
    <form className="mt-4 space-y-3" onSubmit={(event) => void form.submit(event)}>
      <div className="grid grid-cols-[80px_1fr] items-center">
        <span aria-hidden>For</span>
        <ChoiceField
          label="For"
          quiet
          look="mm-field"
          none="choose a colleague"
          value={form.typed.to || null}
          choices={Object.fromEntries(colleagues.map(({ id, name, mail }) => [id, `${name} (${mail})`]))}
          onChange={(to) => form.set("to", to)}
        />
      </div>
      <label className="grid grid-cols-[80px_1fr] items-center">
        About
        <input
          className="mm-field"
          maxLength={200}
          name={name}
          ref={ref}
          onBlur={(event) => void onBlur(event)}
          onChange={(event) => void onChange(event)}
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
        <button type="submit" className="mm-button" disabled={form.busy}>
          Hand it over
        </button>
        {form.problem && (
          <p role="alert" className="text-(--mm-wrong)">
            {form.problem} Your letter is still here.
          </p>
        )}
      </div>
    </form>
  );
}
