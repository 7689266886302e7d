/**
 * A CSS value as its parts (CSS Values and Units 4), read by css-tree and never by patterns: keywords, functions, units,
 * addresses and layers, whatever their letters, spacing and order.
 */
import { wordTable } from "../values";
import type { CssNode } from "css-tree";
import parse from "css-tree/parser";
import walk from "css-tree/walker";
import { remember } from "../memory";

/** One component of a value that stands by itself: a keyword, a number with its unit, a function, a string. */
export interface ValuePart {
  readonly kind: "word" | "number" | "function" | "address" | "text" | "hash" | "comma" | "slash" | "other";
  /** As it is written. */
  readonly source: string;
  /** Keyword, function's name or unit, in small letters; a number without a unit has none. */
  readonly name: string;
  /** Of numbers; NaN for all else. */
  readonly number: number;
}

export interface ValueReading {
  /** At the value's outermost level, in order. */
  readonly parts: readonly ValuePart[];
  /** Keywords at the outermost level, in small letters. */
  readonly words: ReadonlySet<string>;
  /** Names of functions at any depth, in small letters. */
  readonly functions: ReadonlySet<string>;
  /** Units at any depth, in small letters; "%" among them. */
  readonly units: ReadonlySet<string>;
  /** What stands between the commas of the outermost level. */
  readonly layers: readonly string[];
  /** What may be a colour at any depth, in order: functions, hex digits, and keywords that could be names of colours. */
  readonly colors: readonly WrittenColor[];
  /** Whether a number of the outermost level is below zero. */
  readonly negative: boolean;
}

/** A colour in a value: where it stands, and in which notation. */
export interface WrittenColor {
  readonly source: string;
  readonly from: number;
  readonly to: number;
  /** The function's name, or "#" for hex digits, or "" for a name. */
  readonly notation: string;
  /** Whether its channels stand apart by spaces instead of commas. */
  readonly spaced: boolean;
  /** Whether it says its opacity. */
  readonly alpha: boolean;
}

/** Functions that stand for a colour (CSS Color 4). */
const colorFunctions = new Set("rgb rgba hsl hsla hwb lab lch oklab oklch color color-mix".split(" "));

/** Keywords that no property takes for a colour, so that what they are is not asked of anybody. */
const notColors = new Set(
  "solid dashed dotted double groove ridge inset outset hidden none inherit initial unset auto normal center left right top bottom".split(
    " ",
  ),
);

const between = (node: CssNode): [number, number] => [node.loc?.start.offset ?? 0, node.loc?.end.offset ?? 0];

function partOf(node: CssNode, text: string): ValuePart {
  const [from, to] = between(node);
  const part = (kind: ValuePart["kind"], name = "", number = Number.NaN): ValuePart => ({
    kind,
    source: text.slice(from, to),
    name: name.toLowerCase(),
    number,
  });
  switch (node.type) {
    case "Identifier":
      return part("word", node.name);
    case "Number":
      return part("number", "", Number(node.value));
    case "Dimension":
      return part("number", node.unit, Number(node.value));
    case "Percentage":
      return part("number", "%", Number(node.value));
    case "Function":
      return part("function", node.name);
    case "Url":
      return part("address", node.value);
    case "String":
      return part("text", node.value);
    case "Hash":
      return part("hash", node.value);
    case "Operator":
      return part(node.value.trim() === "," ? "comma" : node.value.trim() === "/" ? "slash" : "other");
    default:
      return part("other");
  }
}

function colorFunction(node: CssNode & { type: "Function" }, text: string): WrittenColor {
  const [from, to] = between(node);
  let values = 0;
  let commas = 0;
  let slash = false;
  node.children.forEach((child) => {
    if (child.type !== "Operator") values += 1;
    else if (child.value.trim() === ",") commas += 1;
    else if (child.value.trim() === "/") slash = true;
  });
  return {
    source: text.slice(from, to),
    from,
    to,
    notation: node.name.toLowerCase(),
    spaced: commas === 0 && values > 1,
    alpha: slash || values > 3,
  };
}

/** Null for what does not parse: a browser leaves such a declaration out. */
function parseValue(text: string): CssNode | null {
  try {
    return parse(text, { context: "value", positions: true });
  } catch {
    return null;
  }
}

function read(text: string): ValueReading {
  const parts: ValuePart[] = [];
  const words = new Set<string>();
  const functions = new Set<string>();
  const units = new Set<string>();
  const colors: WrittenColor[] = [];
  const layers: string[] = [];
  let layerFrom = 0;
  const value = parseValue(text);
  if (value?.type === "Value")
    value.children.forEach((node) => {
      const part = partOf(node, text);
      parts.push(part);
      if (part.kind === "word") words.add(part.name);
      if (part.kind !== "comma") return;
      const [from, to] = between(node);
      layers.push(text.slice(layerFrom, from).trim());
      layerFrom = to;
    });
  layers.push(text.slice(layerFrom).trim());
  let insideColor = 0;
  if (value)
    walk(value, {
      enter(node: CssNode) {
        if (node.type === "Function") {
          functions.add(node.name.toLowerCase());
          if (colorFunctions.has(node.name.toLowerCase())) {
            if (insideColor === 0) colors.push(colorFunction(node, text));
            insideColor += 1;
          }
        } else if (node.type === "Dimension") units.add(node.unit.toLowerCase());
        else if (node.type === "Percentage") units.add("%");
        else if (insideColor === 0 && (node.type === "Hash" || node.type === "Identifier")) {
          const hex = node.type === "Hash";
          const [from, to] = between(node);
          const source = text.slice(from, to);
          if (!hex && notColors.has(source.toLowerCase())) return;
          const alpha = hex && (source.length === 5 || source.length === 9);
          colors.push({ source, from, to, notation: hex ? "#" : "", spaced: false, alpha });
        }
      },
      leave(node: CssNode) {
        if (node.type === "Function" && colorFunctions.has(node.name.toLowerCase())) insideColor -= 1;
      },
    });
  return {
    parts,
    words,
    functions,
    units,
    layers,
    colors,
    negative: parts.some(({ kind, number }) => kind === "number" && number < 0),
  };
}

/** The parts of a value, as it is written in a declaration. Never throws; what does not parse has no parts and is one layer. */
export const readValue = remember(read);

/** The value with each colour in it put as `change` answers; null leaves one as it is written. */
export function mapColors(value: string, change: (color: string) => string | null): string {
  let mapped = "";
  let from = 0;
  for (const color of readValue(value).colors) {
    const changed = change(color.source);
    if (changed === null) continue;
    mapped += value.slice(from, color.from) + changed;
    from = color.to;
  }
  return from === 0 ? value : mapped + value.slice(from);
}

/** px for one of each absolute unit (CSS Values 4, section 6.2). */
const absolute = wordTable<number>({
  px: 1,
  pt: 96 / 72,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
});

/** Widths of borders that keywords stand for; px, as browsers draw them. */
const borderKeywords = wordTable<number>({ thin: 1, medium: 3, thick: 5 });

/** A part's length in px, with `em` for one em; null for what is no length. */
export function lengthOf(part: ValuePart, em: number): number | null {
  if (part.kind === "word") return borderKeywords[part.name] ?? null;
  if (part.kind !== "number") return null;
  if (part.name === "") return part.number === 0 ? 0 : null;
  if (part.name === "em") return part.number * em;
  if (part.name === "rem") return part.number * 16;
  const unit = absolute[part.name];
  return unit === undefined ? null : part.number * unit;
}

/** One side of `padding`, the shorthand, the side's and the logical ones read in order; px, null when not declared. */
export function paddingSide(
  declarations: readonly { readonly property: string; readonly value: string }[],
  side: "top" | "bottom",
  em: () => number = () => 16,
): number | null {
  let length: number | null = null;
  const logical = side === "top" ? "padding-block-start" : "padding-block-end";
  for (const { property, value } of declarations) {
    const parts = (): readonly ValuePart[] => readValue(value).parts;
    const take = (part: ValuePart | undefined): void => {
      length = (part && lengthOf(part, part.name === "em" ? em() : 0)) ?? length;
    };
    if (property === `padding-${side}` || property === logical) take(parts()[0]);
    else if (property === "padding") take(side === "top" ? parts()[0] : (parts()[2] ?? parts()[0]));
    else if (property === "padding-block") take(side === "top" ? parts()[0] : (parts()[1] ?? parts()[0]));
  }
  return length;
}
