/** Where each element of a tree stands, in words for people: "row 2, cell 1, link". */
import { wordTable } from "../values";
import { isElement, type Element, type ParentNode } from "./tree";

const words = wordTable<string>({
  tr: "row",
  td: "cell",
  th: "cell",
  img: "picture",
  a: "link",
  p: "paragraph",
});

/** Rows and cells are counted though they are the only ones. */
const alwaysCounted = new Set(["row", "cell"]);

interface Around {
  readonly parent: ParentNode;
  readonly steps: string;
  /** Whether a nested table lies between those steps and what is in it. */
  readonly inTable: boolean;
}

/**
 * The place of every element below a body, in one walk; "message" for what has none. Tables are named where they are
 * nested, and what has siblings of its kind is counted among them.
 */
export function placesIn(body: Element): ReadonlyMap<Element, string> {
  const places = new Map<Element, string>();
  const waiting: Around[] = [{ parent: body, steps: "", inTable: false }];
  for (let around = waiting.pop(); around; around = waiting.pop()) {
    const children = around.parent.childNodes.filter(isElement);
    const counts = new Map<string, number>();
    for (const { tagName } of children) counts.set(tagName, (counts.get(tagName) ?? 0) + 1);
    const passed = new Map<string, number>();
    for (const element of children) {
      const { tagName } = element;
      const number = (passed.get(tagName) ?? 0) + 1;
      passed.set(tagName, number);
      const word = words[tagName];
      const counted = word && (alwaysCounted.has(word) || (counts.get(tagName) ?? 0) > 1);
      const own = word && (counted ? `${word} ${number}` : word);
      const steps = own
        ? [around.steps, around.inTable ? "table" : "", own].filter(Boolean).join(", ")
        : around.steps;
      places.set(element, steps || "message");
      const nested = tagName === "table" && around.parent !== body;
      waiting.push({ parent: element, steps, inTable: own ? false : nested || around.inTable });
    }
  }
  return places;
}
