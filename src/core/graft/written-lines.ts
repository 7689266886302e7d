/**
 * The lines of words in HTML as it is written, each with the place of every letter, and what is replaced when something else
 * is put in the place of words.
 */
import { parseFragment } from "parse5";
import { blockElements, readTags, type Extent, type Written, type WrittenTag } from "../html";
import type { Edit } from "./byte-text";

/** Words between two ends of lines: of blocks, or `br`. */
export interface WrittenLine {
  /** With single spaces. */
  readonly text: string;
  /** Where each letter of the text stands. */
  readonly letters: readonly Extent[];
  /** What is written between the ends of the line, blank beginnings and ends left out. */
  readonly items: readonly Written[];
  /** The tag before the line and the tag behind it. */
  readonly before: WrittenTag | null;
  readonly after: WrittenTag | null;
}

/** Elements whose text is not shown. */
const unseen = new Set(["title", "style", "script", "textarea", "xmp", "iframe", "noembed", "noframes"]);

const isTag = (item: Written): item is WrittenTag => "name" in item;

const endsLine = (item: Written): item is WrittenTag =>
  isTag(item) && (blockElements.has(item.name) || item.name === "br" || unseen.has(item.name));

/** A reference as the letters that it stands for. */
function dereferenced(reference: string): string {
  const [node] = parseFragment(reference).childNodes;
  return node && "value" in node ? node.value : reference;
}

/** The letters of a written text, references counted as what they stand for. */
function* lettersOf(html: string, { from, to }: Extent): Generator<Extent & { readonly letter: string }> {
  const parts = /&(?:#[0-9]+|#x[0-9a-f]+|[a-z][a-z0-9]*);?|[\s\S]/gi;
  for (const found of html.slice(from, to).matchAll(parts)) {
    const [written] = found;
    const at = from + found.index;
    const letter = written.length > 1 ? dereferenced(written) : written;
    yield { letter, from: at, to: at + written.length };
  }
}

function lineOf(
  html: string,
  items: readonly Written[],
  before: WrittenTag | null,
  after: WrittenTag | null,
): WrittenLine | null {
  let text = "";
  const letters: Extent[] = [];
  for (const item of items) {
    if (item.kind !== "text") continue;
    for (const { letter, from, to } of lettersOf(html, item)) {
      const blank = /^[\s\u00a0]+$/.test(letter);
      if (blank && (text === "" || text.endsWith(" "))) continue;
      text += blank ? " " : letter;
      // A reference can stand for two units; both stand in its place.
      for (let unit = 0; unit < (blank ? 1 : letter.length); unit++) letters.push({ from, to });
    }
  }
  if (text.endsWith(" ")) {
    text = text.slice(0, -1);
    letters.pop();
  }
  return text === "" ? null : { text, letters, items, before, after };
}

/** Every line of words that HTML shows, in its order. Never throws. */
export function writtenLines(html: string): readonly WrittenLine[] {
  const found: WrittenLine[] = [];
  let items: Written[] = [];
  let before: WrittenTag | null = null;
  let hidden: string | null = null;
  const close = (after: WrittenTag | null): void => {
    const line = lineOf(html, items, before, after);
    if (line) found.push(line);
    items = [];
    before = after;
  };
  for (const item of readTags(html).items) {
    if (hidden !== null) {
      if (isTag(item) && item.kind === "end" && item.name === hidden) hidden = null;
      continue;
    }
    if (!endsLine(item)) items.push(item);
    else {
      close(item);
      if (item.kind === "start" && unseen.has(item.name)) hidden = item.name;
    }
  }
  close(null);
  return found;
}

/** Whether every tag that begins among them ends among them, and the other way round. */
function balanced(items: readonly Written[]): boolean {
  const open: string[] = [];
  for (const item of items) {
    if (!isTag(item) || item.kind === "void") continue;
    if (item.kind === "start") open.push(item.name);
    else if (open.pop() !== item.name) return false;
  }
  return open.length === 0;
}

const within = (items: readonly Written[], { from, to }: Extent): readonly Written[] =>
  items.filter((item) => item.from < to && item.to > from);

/** Whether an element holds words and inline elements alone, so that a table in it would end it (WHATWG HTML 4.4.1). */
const holdsWordsOnly = (name: string): boolean => /^(?:p|h[1-6])$/.test(name);

/** What is replaced for the letters of a line, from one up to another: as little as leaves what is around it sound. */
export function editsFor(
  html: string,
  line: WrittenLine,
  from: number,
  to: number,
  fragment: string,
): readonly Edit[] {
  const first = line.letters[from];
  const last = line.letters[to - 1];
  if (!first || !last) throw new RangeError(`there is no letter ${from} to ${to} in ${line.text.length}`);
  const { before, after, items } = line;
  // Pictures and comments in the line are none of the words.
  const wordsOnly = items.every(({ kind }) => kind === "text" || kind === "start" || kind === "end");
  if (from === 0 && to === line.letters.length && wordsOnly && balanced(items)) {
    const alone = before?.kind === "start" && after?.kind === "end" && before.name === after.name;
    if (alone && holdsWordsOnly(before.name)) return [{ from: before.from, to: after.to, text: fragment }];
    const shown = items.filter(
      (item) => item.kind !== "text" || /[^ \t\r\n\f]/.test(html.slice(item.from, item.to)),
    );
    const [begins, ends] = [shown[0], shown.at(-1)];
    if (begins && ends)
      return [
        {
          from: begins.kind === "text" ? first.from : begins.from,
          to: ends.kind === "text" ? last.to : ends.to,
          text: fragment,
        },
      ];
  }
  const whole = { from: first.from, to: last.to };
  const between = within(items, whole).filter(({ kind }) => kind !== "text");
  if (!between.some(({ kind }) => kind === "comment" || kind === "doctype") && balanced(between))
    return [{ ...whole, text: fragment }];
  // Tags that begin or end between the words stay: the words alone go.
  return within(items, whole)
    .filter(({ kind }) => kind === "text")
    .map((item, index) => ({
      from: Math.max(item.from, whole.from),
      to: Math.min(item.to, whole.to),
      text: index === 0 ? fragment : "",
    }));
}

/** Says of what is drawn which of a file's lines it is. */
export const lineAttribute = "data-written-line";

/** The HTML with the words of each line in an element that names the line, for pointing at them. */
export function withLinesMarked(html: string, lines: readonly WrittenLine[]): string {
  let written = "";
  let at = 0;
  for (const [index, { letters, items }] of lines.entries()) {
    const [first, last] = [letters[0], letters.at(-1)];
    if (!first || !last) continue;
    for (const item of items) {
      if (item.kind !== "text") continue;
      const [from, to] = [Math.max(item.from, first.from), Math.min(item.to, last.to)];
      if (from >= to) continue;
      written += `${html.slice(at, from)}<span ${lineAttribute}="${index}">${html.slice(from, to)}</span>`;
      at = to;
    }
  }
  return written + html.slice(at);
}
