/**
 * Rehearsals: what has to happen in a client until a signature is installed there, in order, and what is said of a step that
 * was left out. Steps are ticked by what happened, whatever somebody says.
 */
import type { DeskClientId } from "./desk-clients";

/** Something that happened at a desk. */
export type Happening =
  | "pasted"
  | "attached"
  | "made"
  | "shut"
  | "placed"
  | "reopened"
  | "kept"
  | "chosen"
  | "sent"
  | "read"
  | "followed";

export interface RehearsalStep {
  readonly happening: Happening;
  /** What to do. */
  readonly says: string;
  /** What is said where a later step was done without it. */
  readonly forgotten: string;
}

const step = (happening: Happening, says: string, forgotten: string): RehearsalStep => ({
  happening,
  says,
  forgotten,
});

/** The same in every client, once the signature is in it. */
const afterwards: readonly RehearsalStep[] = [
  step(
    "sent",
    "Write to a colleague, with the signature under the letter.",
    "No letter went out with the signature under it.",
  ),
  step("read", "Sit at the colleague’s desk and open what arrived.", "Nobody has opened the letter."),
  step("followed", "Follow one of its links there.", "None of its links was followed."),
];

const chosen = (where: string): RehearsalStep =>
  step(
    "chosen",
    `Choose it for new letters: ${where}.`,
    "It is there, and chosen for no new letters: they go out without it.",
  );

const rehearsalSteps: Readonly<Record<DeskClientId, readonly RehearsalStep[]>> = {
  malthouse: [
    step(
      "pasted",
      "Copy the signature at the Install station, and paste it into the box in Preferences.",
      "Nothing was pasted into the box.",
    ),
    step("kept", "Press “Keep it”.", "It was pasted and not kept: it is lost when Preferences are left."),
    chosen("beside “new letters”, and keep that as well"),
    ...afterwards,
  ],
  granary: [
    step(
      "placed",
      "Put the kit into the drawer: drop its zip there, or place it.",
      "No kit lies in the drawer.",
    ),
    chosen("under “What closes a leaf”"),
    ...afterwards,
  ],
  sluice: [
    step(
      "made",
      "Make an empty mark under “My marks”: its file is what the signature is put into.",
      "There is no mark whose file could be replaced.",
    ),
    step("shut", "Shut the book.", "The book was open all the time: on closing it writes over its files."),
    step(
      "placed",
      "Put the kit’s archive in place of the file while the book is shut.",
      "No file was put in its place while the book was shut.",
    ),
    step("reopened", "Open the book.", "The book was not opened again, so it has not read the file."),
    chosen("“on new sheets”, under “My marks”"),
    ...afterwards,
  ],
  oxbow: [
    step(
      "attached",
      "Type signatures, make and a name, and attach the kit’s file, or write its source.",
      "No file was attached, and no source written.",
    ),
    step("kept", "Type keep.", "It was attached and not kept: it is lost when the signatures are left."),
    chosen("under new, and keep"),
    ...afterwards,
  ],
  wren: [
    step(
      "pasted",
      "Copy the signature out of a letter to yourself, and paste it under “Ending”.",
      "Nothing was pasted into the ending.",
    ),
    step("kept", "Wait until it says that it holds.", "What was pasted does not hold."),
    chosen("“ends letters”"),
    ...afterwards,
  ],
};

export interface RehearsedStep {
  readonly says: string;
  readonly done: boolean;
  /** What is said of it: it was left out, and a later one was done. Null where nothing is. */
  readonly forgotten: string | null;
}

/** Each step as it stands after what happened. */
export function rehearsed(client: DeskClientId, happened: readonly Happening[]): readonly RehearsedStep[] {
  const steps = rehearsalSteps[client];
  const last = steps.findLastIndex(({ happening }) => happened.includes(happening));
  return steps.map(({ happening, says, forgotten }, index) => {
    const done = happened.includes(happening);
    return { says, done, forgotten: !done && index < last ? forgotten : null };
  });
}
