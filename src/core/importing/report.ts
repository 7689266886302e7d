/**
 * What became of each thing in imported HTML, with its place and the reason: kept in another form, or lost. What is kept
 * as it was is counted and not listed.
 */
import { placesIn, type Element } from "../html";

export type ImportOutcome = "changed" | "lost";

export interface ImportNote {
  readonly outcome: ImportOutcome;
  /** What kind of thing it is, for grouping and for filters. */
  readonly code: ImportCode;
  /** "row 2, cell 1, picture"; "message" for the whole. */
  readonly at: string;
  /** What it is, as the HTML has it, shortened: "box-shadow", a text, a picture's address. */
  readonly what: string;
  readonly reason: string;
}

export type ImportCode =
  | "text"
  | "link"
  | "picture"
  | "hidden"
  | "running"
  | "style"
  | "style-rule"
  | "font"
  | "size"
  | "border"
  | "spacing"
  | "list"
  | "layout"
  | "nesting"
  | "map";

/** Tells what became of something in an element. */
export type Say = (
  element: Element,
  outcome: ImportOutcome,
  code: ImportCode,
  what: string,
  reason: string,
) => void;

/** A note beside the element that it is about; null for the whole message. */
export interface ToldNote extends Omit<ImportNote, "at"> {
  readonly element: Element | null;
}

/** Gathers what is said while a tree is read, and finds the places once at the end. */
export class Reporter {
  private readonly said: ToldNote[] = [];
  private readonly known = new Set<string>();

  readonly say: Say = (element, outcome, code, what, reason) => {
    this.said.push({ element, outcome, code, what, reason });
  };

  /** Of the whole message; the same is said once. */
  sayOnce(outcome: ImportOutcome, code: ImportCode, what: string, reason: string): void {
    const key = `${code}\n${what}\n${reason}`;
    if (this.known.has(key)) return;
    this.known.add(key);
    this.said.push({ element: null, outcome, code, what, reason });
  }

  /** In the order in which they were told, each beside its element. */
  told(): readonly ToldNote[] {
    return this.said;
  }

  /** In the order of the message; the body is the one that was read. */
  notes(body: Element): readonly ImportNote[] {
    if (this.said.length === 0) return [];
    const places = placesIn(body);
    return this.said.map(({ element, ...note }) => ({
      ...note,
      at: (element && places.get(element)) ?? "message",
    }));
  }
}

export interface NoteGroup {
  readonly outcome: ImportOutcome;
  readonly code: ImportCode;
  readonly what: string;
  readonly reason: string;
  readonly places: readonly string[];
}

/** The same thing in several places is one entry; what is lost comes first. */
export function groupNotes(notes: readonly ImportNote[]): readonly NoteGroup[] {
  const groups = new Map<string, NoteGroup & { places: string[] }>();
  for (const { at, ...note } of notes) {
    const key = `${note.outcome}\n${note.code}\n${note.what}\n${note.reason}`;
    const group = groups.get(key);
    if (group) group.places.push(at);
    else groups.set(key, { ...note, places: [at] });
  }
  return [...groups.values()].sort(
    (one, other) => Number(one.outcome === "changed") - Number(other.outcome === "changed"),
  );
}
