/**
 * Elements of a source duplicated, moved and taken out whole, so that no tag is left open: changes of text, in offsets of the
 * text before them.
 */
import type { Extent } from "../html";
import type { SourcePlace } from "./open-source";
import { elementAt, type SourceElement } from "./source-tree";

export interface TextChange extends Extent {
  readonly insert: string;
}

export interface ElementEdit {
  /** In their order, none within another. */
  readonly changes: readonly TextChange[];
  /** Where the element stands afterwards. */
  readonly caret: number;
}

export type ElementEditName = "duplicate" | "up" | "down" | "remove";

/**
 * The element that is worked on at an offset: the innermost one with all that holds nothing else, up to its cell, so that an
 * icon goes with its link and its cell. Null outside all of them.
 */
export function wholeElement(
  elements: readonly SourceElement[],
  places: readonly SourcePlace[],
  offset: number,
): SourceElement | null {
  let element = elementAt(elements, offset);
  if (!element) return null;
  const parts = new Set(places.map(({ from, to }) => `${from} ${to}`));
  const isPart = ({ from, to }: Extent): boolean => parts.has(`${from} ${to}`);
  for (let around = element.parent; around; around = around.parent) {
    const alone = around.children.length === 1 && !around.hasText;
    const cell = element.tag.name === "td" || element.tag.name === "th";
    if (!alone || cell || isPart(around) || around.tag.name === "tr" || around.tag.name === "table") break;
    element = around;
  }
  return element;
}

/** An element with the lines that it stands on alone, their last line end included; else as it is. */
function withLines(text: string, { from, to }: Extent): Extent & { readonly lines: boolean } {
  const start = text.lastIndexOf("\n", from - 1) + 1;
  const next = text.indexOf("\n", to);
  const end = next < 0 ? text.length : next + 1;
  const alone = text.slice(start, from).trim() === "" && text.slice(to, end).trim() === "";
  return alone ? { from: start, to: end, lines: true } : { from, to, lines: false };
}

/** The change that an edit makes; null where there is nothing to move past. */
export function editElement(text: string, element: SourceElement, edit: ElementEditName): ElementEdit | null {
  const own = withLines(text, element);
  const written = text.slice(own.from, own.to);
  if (edit === "remove")
    return { changes: [{ from: own.from, to: own.to, insert: "" }], caret: Math.max(0, own.from - 1) };
  if (edit === "duplicate") {
    const copy = own.lines && !written.endsWith("\n") ? `\n${written}` : written;
    return {
      changes: [{ from: own.to, to: own.to, insert: copy }],
      caret: own.to + (element.from - own.from) + (copy.length - written.length),
    };
  }
  const among = element.parent?.children ?? [element];
  const at = among.indexOf(element);
  const other = among[edit === "up" ? at - 1 : at + 1];
  if (!other) return null;
  const past = withLines(text, other);
  const [first, second] = edit === "up" ? [past, own] : [own, past];
  const between = text.slice(first.to, second.from);
  const closed = (part: string): string => (own.lines && !part.endsWith("\n") ? `${part}\n` : part);
  const one = closed(text.slice(second.from, second.to));
  const two = text.slice(first.from, first.to);
  const moved = edit === "up" ? first.from : first.from + one.length + between.length;
  return {
    changes: [{ from: first.from, to: second.to, insert: one + between + two }],
    caret: moved + (element.from - own.from),
  };
}
