"use client";

/** The fields of a letter that is being written, the same in every client but for words and looks. */
import type { Desk, LetterBegun } from "@/contract";
import { deskClients, type HeldSignature } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { PeopleField } from "./people-field";
import { RichBox } from "./rich-box";
import type { Colleague } from "./rooms";
import type { Writing } from "./use-writing";

interface Field {
  readonly writing: Writing;
  readonly label: string;
  readonly look: string;
  readonly className?: string;
}

/** Held signatures by name, and none of them. */
export const signatureNames = (
  held: readonly Pick<HeldSignature, "id" | "name">[],
  none: string,
): Readonly<Record<string, string>> => ({
  "": none,
  ...Object.fromEntries(held.map(({ id, name }) => [id, name])),
});

/** Which of the own addresses it is written from. */
export const FromField = ({ desk, writing, label, look, className }: Field & { readonly desk: Desk }) => (
  <ChoiceField
    label={label}
    quiet
    look={look}
    className={className ?? ""}
    value={writing.from}
    choices={Object.fromEntries(desk.addresses.map((address) => [address, address]))}
    onChange={writing.writeFrom}
  />
);

interface WhomProps extends Field {
  readonly which: "to" | "cc";
  readonly colleagues: readonly Colleague[];
}

export const WhomField = ({ writing, which, label, colleagues, look }: WhomProps) => (
  <PeopleField
    label={label}
    addresses={writing[which]}
    colleagues={colleagues}
    onChange={(addresses) => writing.set({ [which]: addresses })}
    look={look}
  />
);

interface SubjectProps extends Pick<Field, "writing" | "look"> {
  /** Left out where a label stands around it. */
  readonly label?: string;
  readonly placeholder?: string;
}

export const SubjectField = ({ writing, label, placeholder, look }: SubjectProps) => (
  <input
    aria-label={label}
    placeholder={placeholder}
    className={look}
    maxLength={200}
    value={writing.subject}
    onChange={(event) => writing.set({ subject: event.target.value })}
  />
);

interface SignProps extends Field {
  readonly desk: Desk;
  /** What it is called that there is none. */
  readonly none: string;
}

/** Which signature stands in it. */
export const SignField = ({ desk, writing, label, none, look, className }: SignProps) => (
  <ChoiceField
    label={label}
    quiet
    look={look}
    className={className ?? ""}
    value={writing.signature ?? ""}
    choices={signatureNames(desk.held, none)}
    onChange={(id) => writing.sign(id === "" ? null : id)}
  />
);

interface BoxProps {
  readonly desk: Desk;
  readonly start: LetterBegun;
  readonly writing: Writing;
  readonly label: string;
  readonly className: string;
}

/** What the browser can do to the selected words of a box. */
const typeCommands = { bold: "bold", italic: "italic", plain: "removeFormat" } as const;

/** How selected words look; the keys that the browser has for it work as well. */
const TypeWords = ({ writing }: { readonly writing: Writing }) => (
  <div role="group" aria-label="How the selected words look" className="flex gap-4 pt-1 text-sm">
    {Object.entries(typeCommands).map(([word, command]) => (
      <button
        key={word}
        type="button"
        className="underline"
        // What is selected stays so.
        onPointerDown={(event) => event.preventDefault()}
        onClick={() => {
          writing.box.current?.focus();
          document.execCommand(command);
          writing.changed();
        }}
      >
        {word}
      </button>
    ))}
  </div>
);

export const LetterField = ({ desk, start, writing, label, className }: BoxProps) => (
  <>
    <TypeWords writing={writing} />
    <RichBox
      label={label}
      box={writing.box}
      initial={start.html}
      pictures={start.pictures}
      standIn={deskClients[desk.client].standIn}
      onChange={writing.changed}
      className={className}
    />
  </>
);

/** What became of the draft, and why a letter did not go; `still` says that it is not lost. */
export const WritingSays = ({ writing, still }: { readonly writing: Writing; readonly still: string }) => (
  <>
    <p role="status" className="text-sm text-(--desk-soft)">
      {writing.kept}
    </p>
    {writing.problem && (
      <p role="alert" className="text-(--desk-wrong)">
        {writing.problem} {still}
      </p>
    )}
  </>
);
