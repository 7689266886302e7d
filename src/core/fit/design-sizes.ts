/**
 * How large a signature comes out for each of many people, as it is designed; px. Most people's come out alike: what makes one higher is
 * which of its lines wrap, how far words stick out, and what is there at all, so that one of each such case is laid out.
 */
import type { Node } from "prosemirror-model";
import { designPage } from "../clients";
import { elementsIn, parseMessage } from "../html";
import { layOut } from "../layout";
import type { Person } from "../people";
import type { Size } from "../pictures";
import { hiddenFrom, picturesToMake } from "../signature";
import type { Fit } from "./fit-of";
import { writtenFor } from "./written-for";

/** Laid out for one person. */
export function designSize(document: Node, person: Person): Size {
  const { body } = parseMessage(writtenFor(document, person));
  const table = elementsIn(body).find(({ tagName }) => tagName === "table");
  const placed = layOut(body, designPage).elements.find(({ element }) => element === table);
  return { width: placed?.width ?? 0, height: placed?.height ?? 0 };
}

/** What decides how large it comes out: the same for two people gives the same size. */
function caseOf(document: Node, person: Person, { tight, empty, missing }: Fit): string | null {
  // How wide those letters are is not known well enough to say that two lines are alike.
  if (missing.length > 0) return null;
  return JSON.stringify([
    tight.map(({ position, lines, over }) => [position, lines, Math.round(over * 64)]),
    empty.map(({ position }) => position),
    hiddenFrom(document, person).map(({ from }) => from),
    picturesToMake(document, person).length,
  ]);
}

/** Sizes of a document, each case laid out once. */
export function designSizes(document: Node): (person: Person, fit: Fit) => Size {
  const known = new Map<string, Size>();
  return (person, fit) => {
    const key = caseOf(document, person, fit);
    const before = key === null ? undefined : known.get(key);
    if (before) return before;
    const size = designSize(document, person);
    if (key !== null) known.set(key, size);
    return size;
  };
}
