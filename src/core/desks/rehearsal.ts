/**
 * Rehearsals: the printed steps of a kind of client, followed in the Mailroom's client of that kind. Each step asks for what
 * has to happen there; it is ticked by what happened, whatever somebody says, and what was left out is said.
 */
import { installSteps } from "../install-kinds";
import { deskClients, type DeskClientId } from "./desk-clients";

/** Something that happened at a desk, or to a signature that is rehearsed there. */
export const happenings = [
  "copied",
  "downloaded",
  "delivered",
  "opened",
  "pasted",
  "attached",
  "made",
  "shut",
  "placed",
  "reopened",
  "kept",
  "chosen",
  "sent",
  "read",
  "followed",
] as const;
export type Happening = (typeof happenings)[number];

/** What cannot happen unless something else did. */
const implied: Readonly<Partial<Record<Happening, readonly Happening[]>>> = {
  pasted: ["copied"],
  attached: ["downloaded"],
  placed: ["downloaded"],
};

/** One thing to be done for a step. */
interface Task {
  readonly happening: Happening;
  /** What to do, in the words of the client. */
  readonly says: string;
  /** What is said where a later one was done without it. */
  readonly forgotten: string;
}

/** What a printed step asks for in one client; a sentence where it asks for nothing there. */
type Asked = readonly Task[] | string;

const task = (happening: Happening, says: string, forgotten: string): Task => ({
  happening,
  says,
  forgotten,
});

const downloaded = task("downloaded", "Download it at the Install station.", "No kit was downloaded.");
const copied = task(
  "copied",
  "Press “Copy the signature” at the Install station.",
  "Nothing was copied at the Install station.",
);
const chosen = (where: string): Task =>
  task(
    "chosen",
    `Choose it for new letters: ${where}.`,
    "It is there, and chosen for no new letters: they go out without it.",
  );

/** The last step of each kind. */
const lookedAt: readonly Task[] = [
  task(
    "sent",
    "Write a letter, to yourself or a colleague, with the signature under it.",
    "No letter went out with the signature under it.",
  ),
  task("read", "Open what arrived.", "Nobody has opened the letter."),
  task("followed", "Follow one of its links there.", "None of its links was followed."),
];

/** By client, beside each of the printed steps of its kind. */
const asked: Readonly<Record<DeskClientId, readonly Asked[]>> = {
  malthouse: [
    [copied],
    "They are called Preferences here.",
    [task("pasted", "Paste it into the box in Preferences.", "Nothing was pasted into the box.")],
    [
      task("kept", "Press “Keep it”.", "It was pasted and not kept: it is lost when Preferences are left."),
      chosen("beside “new letters”, and keep that as well"),
    ],
    lookedAt,
  ],
  granary: [
    [downloaded],
    "Granary looks into its drawer each time that it needs a signature, so it can stay open.",
    [
      task(
        "placed",
        "Put the kit into the drawer: drop it there, or place it.",
        "No kit lies in the drawer.",
      ),
    ],
    [chosen("under “What closes a leaf”")],
    lookedAt,
  ],
  sluice: [
    [
      task("made", "Make an empty mark under “My marks”.", "There is no mark whose file could be replaced."),
      task("shut", "Shut the book.", "The book was open all the time: on closing it writes over its files."),
    ],
    "Sluice writes the name of each mark’s file beside it, under “My marks”.",
    [
      downloaded,
      task(
        "placed",
        "Put it in place of the mark’s file while the book is shut.",
        "No file was put in its place while the book was shut.",
      ),
    ],
    "No lock is needed here: what is put in place while the book is shut is read when it is opened.",
    [
      task("reopened", "Open the book.", "The book was not opened again, so it has not read the file."),
      chosen("“on new sheets”, under “My marks”"),
    ],
    lookedAt,
  ],
  oxbow: [
    [downloaded],
    "Oxbow keeps what is attached itself, so the file may go.",
    [
      task(
        "attached",
        "Type signatures, make and a name, and attach the file, or write its source.",
        "No file was attached, and no source written.",
      ),
      task("kept", "Type keep.", "It was attached and not kept: it is lost when the signatures are left."),
      chosen("under new, and keep"),
    ],
    lookedAt,
  ],
  wren: [
    [
      task(
        "delivered",
        "Put it into your mailbox here: below, or by writing to yourself from another client.",
        "No letter with the signature has come to the phone.",
      ),
    ],
    [task("opened", "Open it among the cards.", "The letter to yourself was not opened.")],
    [
      task("pasted", "Paste it under “Ending”.", "Nothing was pasted into the ending."),
      task("kept", "Wait until it says that it holds.", "What was pasted does not hold."),
      chosen("“ends letters”"),
    ],
    "Wren keeps pictures at a public address; “words only” leaves the plain text.",
    lookedAt,
  ],
};

export interface RehearsedTask {
  readonly happening: Happening;
  readonly says: string;
  readonly done: boolean;
  /** What is said of it: it was left out, and a later one was done. Null where nothing is. */
  readonly forgotten: string | null;
}

export interface RehearsedStep {
  /** The step as it is printed. */
  readonly says: string;
  /** What it asks for in this client; none where it asks for nothing there. */
  readonly tasks: readonly RehearsedTask[];
  /** Why it asks for nothing; empty where it asks. */
  readonly note: string;
}

/** Each printed step of a client's kind as it stands after what happened. */
export function rehearsed(client: DeskClientId, happened: readonly Happening[]): readonly RehearsedStep[] {
  const all = new Set(happened.flatMap((each) => [each, ...(implied[each] ?? [])]));
  const wanted = asked[client].flatMap((step) => (typeof step === "string" ? [] : step));
  const last = wanted.findLastIndex(({ happening }) => all.has(happening));
  const toRehearsed = ({ happening, says, forgotten }: Task): RehearsedTask => {
    const done = all.has(happening);
    const passed = wanted.findIndex((each) => each.happening === happening) < last;
    return { happening, says, done, forgotten: !done && passed ? forgotten : null };
  };
  return installSteps[deskClients[client].kind].map((says, index) => {
    const step = asked[client][index] ?? "";
    return typeof step === "string"
      ? { says, tasks: [], note: step }
      : { says, tasks: step.map(toRehearsed), note: "" };
  });
}
