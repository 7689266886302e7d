/** Type: families, sizes, weights and line heights (CSS Fonts 4, CSS Inline 3). Sizes in px. */
import { wordTable } from "../../values";
import { readValue, type ValuePart } from "../../html";
import { fontStack, webSafeFonts } from "../../signature";
import { length, partsOf, type Draft } from "./draft";
import type { LineHeight } from "./look";

const rounded = (length: number): number => Math.round(length * 100) / 100;

const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** Font sizes that keywords stand for (CSS Fonts 4, section 2.5.1); px. */
const sizeWords = wordTable<number>({
  "xx-small": 9,
  "x-small": 10,
  small: 13,
  medium: 16,
  large: 18,
  "x-large": 24,
  "xx-large": 32,
  "xxx-large": 48,
});

export function fontSize(draft: Draft, part: ValuePart | undefined): boolean {
  const { parent } = draft;
  if (!part) return false;
  let size: number | null;
  if (part.kind === "word")
    size =
      part.name === "smaller"
        ? parent.size / 1.2
        : part.name === "larger"
          ? parent.size * 1.2
          : (sizeWords[part.name] ?? null);
  else if (part.name === "%") size = (parent.size * part.number) / 100;
  else size = length(part, parent.size);
  if (size === null) return part.kind === "word" && part.name === "inherit";
  // Nothing is read in type of no size: it is a gap, and what is in it is hidden.
  draft.look.size = size < 1 ? 1 : rounded(clamp(size, 1, 500));
  draft.box.saysType = true;
  return true;
}

export function lineHeight(draft: Draft, part: ValuePart | undefined): boolean {
  if (!part) return false;
  const { look } = draft;
  let read: LineHeight | null;
  if (part.kind === "word") read = part.name === "normal" ? "normal" : null;
  else if (part.kind === "number" && part.name === "") read = { ratio: part.number };
  else if (part.name === "%") read = { px: (look.size * part.number) / 100 };
  else {
    const px = length(part, look.size);
    read = px === null ? null : { px };
  }
  if (read === null || (read !== "normal" && ("px" in read ? read.px : read.ratio) < 0)) return false;
  look.lineHeight = read;
  return true;
}

/** The names of a font list, in order, as they are written. */
function familiesIn(value: string): readonly string[] {
  return readValue(value).layers.map((layer) => {
    const parts = partsOf(layer);
    const [first] = parts;
    return first?.kind === "text" ? first.name && textOf(first) : parts.map(({ source }) => source).join(" ");
  });
}

const textOf = ({ source }: ValuePart): string =>
  source.slice(1, source.endsWith(source.charAt(0)) ? -1 : undefined).replace(/\\(.)/g, "$1");

const byLowerCase = new Map(webSafeFonts.map(({ family }) => [family.toLowerCase(), family]));
const generics = wordTable<string>({
  serif: "Times New Roman",
  "sans-serif": "Arial",
  monospace: "Courier New",
  "system-ui": "Arial",
  cursive: "Georgia",
});

export function fontFamily(draft: Draft, value: string): boolean {
  const families = familiesIn(value).filter((family) => family !== "");
  const [first] = families;
  if (first === undefined) return false;
  if (first === "inherit") return true;
  draft.box.saysType = true;
  const safe = byLowerCase.get(first.toLowerCase());
  if (safe !== undefined) {
    draft.look.font = safe;
    return true;
  }
  // A stack that is written as ours are says that its first family was chosen here.
  const asWritten = value.replace(/\s*,\s*/g, ",").replaceAll('"', "'");
  if (first.length <= 60 && asWritten === fontStack(first)) {
    draft.look.font = first;
    return true;
  }
  const taken =
    families.map((family) => byLowerCase.get(family.toLowerCase())).find((family) => family !== undefined) ??
    families.map((family) => generics[family.toLowerCase()]).find((family) => family !== undefined) ??
    draft.parent.font;
  draft.look.font = taken;
  draft.families(first, taken);
  return true;
}

/** `font: italic bold 12px/1.5 Georgia, serif`: what stands before the size, the size, and the families behind it. */
export function fontShorthand(draft: Draft, value: string): boolean {
  const parts = partsOf(value);
  const at = parts.findIndex(
    (part) =>
      (part.kind === "number" && part.name !== "") || (part.kind === "word" && part.name in sizeWords),
  );
  const size = parts[at];
  if (!size) return false;
  draft.look.bold = false;
  draft.look.italic = false;
  draft.look.lineHeight = "normal";
  for (const { kind, name, number } of parts.slice(0, at)) {
    if (name === "italic" || name === "oblique") draft.look.italic = true;
    if (name === "bold" || (kind === "number" && number >= 600)) draft.look.bold = true;
  }
  if (!fontSize(draft, size)) return false;
  let rest = at + 1;
  if (parts[rest]?.kind === "slash") {
    lineHeight(draft, parts[rest + 1]);
    rest += 2;
  }
  const before = parts
    .slice(0, rest)
    .reduce((offset, { source }) => value.indexOf(source, offset) + source.length, 0);
  fontFamily(draft, value.slice(before).trim());
  return true;
}

export const weights = (draft: Draft, value: string): boolean => {
  const [part] = partsOf(value);
  if (!part) return false;
  // Weights under 600 are drawn normal by document engines, so they are not bold.
  if (part.kind === "number") draft.look.bold = part.number >= 600;
  else if (part.name === "bold" || part.name === "bolder") draft.look.bold = true;
  else if (part.name === "normal" || part.name === "lighter") draft.look.bold = false;
  else return part.name === "inherit";
  return true;
};
