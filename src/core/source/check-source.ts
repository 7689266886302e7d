/**
 * What is broken in a source while somebody types it: tags that do not close, cells that stand in no row, colours and lengths
 * that are none. Browsers guess at all of this, each in its own way, so nothing of it is taken over.
 */
import { wordTable } from "../values";
import { parseColor, toHex } from "../color";
import {
  readDeclarationsAt,
  readTags,
  readValue,
  type Extent,
  type Written,
  type WrittenAttribute,
  type WrittenTag,
} from "../html";

export interface SourceTrouble extends Extent {
  /** A sentence. */
  readonly says: string;
}

/** What some errors of writing are in words (WHATWG HTML 13.2.2); all others are told by their tag. */
const errorWords = wordTable<string>({
  "eof-in-tag": "A tag is begun here and never ended: a “>” or a quote is missing.",
  "eof-before-tag-name": "A tag is begun here and has no name.",
  "invalid-first-character-of-tag-name": "A “<” that begins no tag is written as “&lt;”.",
  "missing-end-tag-name": "An end tag has no name.",
  "duplicate-attribute": "This attribute stands in the tag already; a second one counts for nothing.",
  "missing-whitespace-between-attributes": "A space is missing between two attributes, or a quote before it.",
  "unexpected-character-in-attribute-name": "A quote or a “<” stands where an attribute’s name should be.",
  "unexpected-equals-sign-before-attribute-name": "An “=” stands here without an attribute’s name.",
  "missing-attribute-value": "This attribute has no value after its “=”.",
  "unexpected-character-in-unquoted-attribute-value": "A value that holds quotes has to stand in quotes.",
  "eof-in-comment": "A comment is begun here and never ended.",
  "incorrectly-opened-comment": "This is no tag and no comment.",
});

/** Where some elements may stand, and nowhere else (WHATWG HTML 4.9). */
const parents = wordTable<readonly string[]>({
  tr: ["table", "tbody", "thead", "tfoot"],
  td: ["tr"],
  th: ["tr"],
  tbody: ["table"],
  thead: ["table"],
  tfoot: ["table"],
  colgroup: ["table"],
  caption: ["table"],
  li: ["ul", "ol"],
});

/** Elements that hold others of a table, and no text. */
const bare = new Set(["table", "tbody", "thead", "tfoot", "tr"]);

const a = (name: string): string => `<${name}>`;

/** The tags that are open while one reads on, and what does not go together. */
function checkTags(html: string, items: readonly Written[]): SourceTrouble[] {
  const open: WrittenTag[] = [];
  const found: SourceTrouble[] = [];
  for (const item of items) {
    const around = open.at(-1);
    if (item.kind === "text") {
      if (around && bare.has(around.name) && html.slice(item.from, item.to).trim() !== "")
        found.push({ ...item, says: `Text cannot stand in ${a(around.name)}, only in a cell.` });
    } else if (item.kind === "start" || item.kind === "void") {
      const allowed = parents[item.name];
      if (allowed && !(around && allowed.includes(around.name)))
        found.push({ ...item, says: `${a(item.name)} stands in ${allowed.map(a).join(" or ")} only.` });
      else if (!allowed && around && bare.has(around.name))
        found.push({ ...item, says: `${a(item.name)} cannot stand in ${a(around.name)}, only in a cell.` });
      if (item.kind === "start") open.push(item);
    } else if (item.kind === "end") {
      if (around?.name === item.name) open.pop();
      else if (open.some(({ name }) => name === item.name)) {
        for (let last = open.pop(); last && last.name !== item.name; last = open.pop())
          found.push({ ...last, says: `${a(last.name)} is not closed before ${`</${item.name}>`}.` });
      } else found.push({ ...item, says: `${`</${item.name}>`} closes nothing that is open.` });
    }
  }
  for (const tag of open) found.push({ ...tag, says: `${a(tag.name)} is not closed.` });
  return found;
}

/** Properties that hold one colour and nothing else. */
const colorProperties = new Set(
  "color background-color border-color border-top-color border-right-color border-bottom-color border-left-color text-decoration-color".split(
    " ",
  ),
);

/** Keywords that stand for a colour, or for none (CSS Cascade 5, 7.3; CSS Color 4, 6). */
const colorWords = new Set("inherit initial unset revert transparent currentcolor".split(" "));

/** Properties whose numbers are lengths, in which a number without a unit is none. */
const lengthProperties =
  /^(width|height|(min|max)-(width|height)|font-size|letter-spacing|text-indent|border-radius|(padding|margin)(-(top|right|bottom|left))?|border(-(top|right|bottom|left))?(-width)?)$/;

/** Units of lengths (CSS Values 4, 6). */
const units = new Set("px pt pc in cm mm q em rem ex ch lh rlh vw vh vi vb vmin vmax %".split(" "));

/** What is wrong with a value; null where nothing is known to be. */
function valueTrouble(property: string, value: string): string | null {
  if (value === "") return `“${property}” has no value.`;
  const reading = readValue(value);
  if (reading.parts.length === 0) return `“${value}” cannot be read.`;
  for (const { source, notation } of reading.colors) {
    const named = notation === "";
    if (named && (!colorProperties.has(property) || colorWords.has(source.toLowerCase()))) continue;
    if (toHex(source) === null && parseColor(source) === null) return `“${source}” is no colour.`;
  }
  if (!lengthProperties.test(property)) return null;
  for (const { kind, name, number, source } of reading.parts) {
    if (kind !== "number") continue;
    if (name === "" && number !== 0) return `“${source}” has no unit: a length is “${source}px”.`;
    if (name !== "" && !units.has(name)) return `“${source}” is no length: “${name}” is no unit.`;
  }
  return null;
}

function checkStyle(html: string, attribute: WrittenAttribute): SourceTrouble[] {
  const { declarations, unread } = readDeclarationsAt(html, attribute);
  return [
    ...unread.map((extent) => ({
      ...extent,
      says: `“${html.slice(extent.from, extent.to).trim()}” is no declaration: it is “property:value”.`,
    })),
    ...declarations.flatMap(({ property, value, from, to }) => {
      const says = valueTrouble(property, value);
      return says === null ? [] : [{ from, to, says }];
    }),
  ];
}

/** Attributes whose value is a number of px, or a share of what is around. */
const measures = new Set(["width", "height", "cellpadding", "cellspacing", "border"]);

function checkAttribute(html: string, attribute: WrittenAttribute): SourceTrouble[] {
  const { name } = attribute;
  if (name === "style") return checkStyle(html, attribute);
  const value = attributeValue(html, attribute);
  const trouble = (says: string): SourceTrouble[] => [{ from: attribute.from, to: attribute.to, says }];
  if (measures.has(name) && !/^\s*\d+(\.\d+)?\s*(px|%)?\s*$/i.test(value))
    return trouble(`“${name}” is a number of px, not “${value}”.`);
  if (name === "bgcolor" && toHex(value) === null) return trouble(`“${value}” is no colour.`);
  return [];
}

/** The value of an attribute as it is written, without its quotes. */
export function attributeValue(html: string, { from, to }: Extent): string {
  const written = html.slice(from, to);
  const at = written.indexOf("=");
  return at < 0
    ? ""
    : written
        .slice(at + 1)
        .trim()
        .replace(/^(["'])(.*)\1$/s, "$2");
}

/** Everything that is broken, in the order of the source; nothing where all of it can be taken over. Linear; never throws. */
export function checkSource(html: string): readonly SourceTrouble[] {
  const { items, errors } = readTags(html);
  const written = errors.flatMap(({ code, from, to }): SourceTrouble[] => {
    const says = errorWords[code];
    if (says === undefined) return [];
    // Where it ends nobody knows: it is where it begins.
    const begun = code.startsWith("eof-") ? html.indexOf("<", items.at(-1)?.from) : -1;
    return [begun < 0 ? { from, to, says } : { from: begun, to: begun + 1, says }];
  });
  const attributes = items.flatMap((item) =>
    "attributes" in item ? item.attributes.flatMap((attribute) => checkAttribute(html, attribute)) : [],
  );
  return [...written, ...checkTags(html, items), ...attributes].sort((one, other) => one.from - other.from);
}

/** Line and column of an offset, both from 1. */
export function lineAndColumn(
  text: string,
  offset: number,
): { readonly line: number; readonly column: number } {
  const before = text.slice(0, offset).split("\n");
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}
