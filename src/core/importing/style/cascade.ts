/**
 * The look and the box of one element: what it is of itself, what its attributes say, the rules of style sheets and its own
 * style, in the order in which they win (CSS Cascade 5, section 6). What cannot be held is told as it is read.
 */
import { attributeOf, parseDeclarations, type Declaration, type Element } from "../../html";
import { languageTag, linkTarget, noSides, type Sides } from "../../signature";
import type { ImportCode, ImportOutcome, Reporter } from "../report";
import { plainBox, type BorderSide, type Box, type Look } from "./look";
import { declaredByAttributes, tableAttributes } from "./presentational";
import type { Draft } from "./draft";
import { readDeclaration } from "./read-declarations";
import type { SheetRule, StyleSheets } from "./style-sheets";
import { ownLook } from "./user-agent";

export interface Styled {
  readonly look: Look;
  readonly box: Box;
}

/** What links look like of themselves (WHATWG HTML 15.3.4). */
const linkBlue = "#0000EE";

/** An address as browsers read it: line ends and tabs are no part of it, other white space is escaped (WHATWG URL 4.4). */
export const asRead = (written: string): string =>
  written
    .trim()
    .replace(/[\t\n\r]/g, "")
    .replace(/\s/g, "%20");

/** Where a link leads from a mail; null for what leads nowhere, or runs. */
export function leadingTo(written: string | null): string | null {
  const href = asRead(written ?? "");
  if (href === "" || href.startsWith("#")) return null;
  return linkTarget.check(href) === null ? href : null;
}

const isImportant = ({ mark }: Declaration): boolean => mark !== "";

function* inOrder(element: Element, rules: readonly SheetRule[]): Generator<Declaration> {
  const style = parseDeclarations(attributeOf(element, "style") ?? "");
  for (const { declarations } of rules) for (const one of declarations) if (!isImportant(one)) yield one;
  for (const one of style) if (!isImportant(one)) yield one;
  for (const { declarations } of rules) for (const one of declarations) if (isImportant(one)) yield one;
  for (const one of style) if (isImportant(one)) yield one;
}

const drawn = (sides: Sides<BorderSide | null>): Sides<BorderSide | null> => {
  const one = (side: BorderSide | null): BorderSide | null =>
    side === null || side.style === "none" || side.style === "hidden" || side.width <= 0 ? null : side;
  return { top: one(sides.top), right: one(sides.right), bottom: one(sides.bottom), left: one(sides.left) };
};

/** Elements that stand in a line unless something else is said. */
const isInlineByItself = (element: Element): boolean =>
  !ownLook(element.tagName).some(({ property }) => property === "display");

const shortened = (text: string): string => (text.length > 60 ? `${text.slice(0, 57)}…` : text);

type Note = readonly [outcome: ImportOutcome, code: ImportCode, what: string, reason: string];

interface KnownStyled {
  readonly styled: Styled;
  /** What is told of each element that is like this one. */
  readonly notes: readonly Note[];
}

type KnownLooks = Map<string, KnownStyled>;

/**
 * What is read first of an element, whatever the order in which it is said: whether it stands in a line decides what its
 * ground is, its size how long an em is, its colour that of its borders.
 */
const first: ReadonlySet<string> = new Set(
  "display direction color font font-size font-family font-weight font-style".split(" "),
);

/** A box of which nothing is said. */
const nothing: Partial<Box> = {};

/** So many elements of one parent's look are remembered. */
const mostKnown = 500;

/** What an element's look depends on, beside that of its parent: itself, its attributes and the rules that match it. */
const keyOf = ({ tagName, attrs }: Element, rules: readonly SheetRule[]): string =>
  [tagName, ...attrs.map(({ name, value }) => `${name}=${value}`), ...rules.map(({ order }) => order)].join(
    "\n",
  );

/**
 * Reads the styles of elements, parents before their children. Elements that are alike under the same look are read once:
 * rows of a table and paragraphs of a message repeat each other.
 */
export class Cascade {
  private readonly known = new WeakMap<Look, WeakMap<Partial<Box>, KnownLooks>>();

  constructor(
    private readonly sheets: StyleSheets,
    private readonly reporter: Reporter,
  ) {}

  /** `of` is what a box has before anything is said of it: that of a cell follows from its table. */
  read(element: Element, parent: Look, of: Partial<Box> = nothing): Styled {
    const rules = this.sheets.of(element);
    const looks = this.looksUnder(parent, of);
    const key = keyOf(element, rules);
    let known = looks.get(key);
    if (!known) {
      const notes: Note[] = [];
      const styled = this.work(element, rules, parent, of, (...note) => void notes.push(note));
      known = { styled, notes };
      if (looks.size >= mostKnown) looks.clear();
      looks.set(key, known);
    }
    for (const note of known.notes) this.reporter.say(element, ...note);
    return known.styled;
  }

  private looksUnder(parent: Look, of: Partial<Box>): KnownLooks {
    let boxes = this.known.get(parent);
    if (!boxes) {
      boxes = new WeakMap<Partial<Box>, KnownLooks>();
      this.known.set(parent, boxes);
    }
    let looks = boxes.get(of);
    if (!looks) {
      looks = new Map<string, KnownStyled>();
      boxes.set(of, looks);
    }
    return looks;
  }

  private work(
    element: Element,
    rules: readonly SheetRule[],
    parent: Look,
    of: Partial<Box>,
    say: (...note: Note) => void,
  ): Styled {
    const draft: Draft = {
      parent,
      look: { ...parent },
      box: { ...plainBox, ...of },
      inline: isInlineByItself(element),
      families: (asked, taken) =>
        say("changed", "font", asked, `recipients may not have it: ${taken} stands in its place`),
      changed: (what, reason) => say("changed", "style", what, reason),
    };
    this.readElement(element, draft);
    const own = ownLook(element.tagName);
    const declared = [...own, ...declaredByAttributes(element), ...inOrder(element, rules)];
    const read = ({ property, value }: Declaration): void => {
      const reading = readDeclaration(draft, property, value);
      if (!reading.held) say("lost", "style", shortened(`${property}: ${value}`), reading.reason);
    };
    for (const one of declared) if (first.has(one.property)) read(one);
    for (const one of declared) if (!first.has(one.property)) read(one);
    // Type above or below the line is small of itself: what it stands beside says its measures.
    if (draft.look.script !== null)
      Object.assign(draft.look, { size: parent.size, lineHeight: parent.lineHeight });
    const { box } = draft;
    box.border = drawn(box.border);
    if (box.float && box.display === "inline" && element.tagName !== "img") box.display = "block";
    return { look: draft.look, box };
  }

  private readElement(element: Element, { look, box }: Draft): void {
    if (element.tagName === "a") {
      const href = leadingTo(attributeOf(element, "href"));
      if (href !== null) {
        look.link = href;
        look.color = linkBlue;
        look.underline = true;
      }
    } else if (element.tagName === "table") {
      const { padding, spacing, border } = tableAttributes(element);
      box.cellPadding = padding;
      box.spacing = spacing ?? 2;
      box.cellBorder = border > 0;
      if (border > 0) {
        const side: BorderSide = { width: border, style: "solid", color: "#808080" };
        box.border = noSides(side);
      }
    }
    const language = attributeOf(element, "lang");
    if (language !== null && languageTag.check(language) === null) look.language = language;
  }
}
