/** Where in the document a part that was measured comes from. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { image, textColorsOf } from "../signature";
import type { PartDrift } from "./drift";

/** How words are compared: as they read, whatever their letters' case and the spaces between them. */
const asRead = (text: string): string => text.replace(/\s+/g, " ").trim().toLowerCase();

interface Run {
  readonly position: number;
  readonly words: string;
}

function runsOf(document: Node, person: Person | null, kind: PartDrift["kind"]): readonly Run[] {
  if (kind === "text")
    return textColorsOf(document, person).map(({ position, text }) => ({ position, words: asRead(text) }));
  const found: Run[] = [];
  if (kind === "box") return found;
  document.descendants((node, position) => {
    if (image.is(node) && image.of(node).source !== "")
      found.push({ position, words: asRead(image.of(node).alt) });
  });
  return found;
}

/**
 * The position of the run of text or the picture that a part was drawn from, as the document is drawn for a person; null
 * where nothing in it says the same. `parts` are all of the proof, in order: of several that say the same, each has its own.
 */
export function findPart(
  document: Node,
  person: Person | null,
  parts: readonly Pick<PartDrift, "id" | "kind" | "text">[],
  id: number,
): number | null {
  const part = parts.find((each) => each.id === id);
  if (!part) return null;
  const words = asRead(part.text);
  const alike = parts.filter(({ kind, text }) => kind === part.kind && asRead(text) === words);
  const runs = runsOf(document, person, part.kind);
  const same = runs.filter((run) => run.words === words);
  const within = runs.filter(
    (run) => words !== "" && run.words !== "" && (words.includes(run.words) || run.words.includes(words)),
  );
  const found = same.length > 0 ? same : within;
  return (found[alike.indexOf(part)] ?? found[0])?.position ?? null;
}
