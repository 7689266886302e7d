/** The style attribute as a list of declarations, in order. Later ones of the same property win, as in CSS. */
import type { CssNode } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";

export interface Declaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
}

const cache = new Map<string, readonly Declaration[]>();
const cacheLimit = 2000;

/** Reads a style attribute. What does not parse as a declaration is left out, as a browser leaves it out. */
export function parseDeclarations(style: string): readonly Declaration[] {
  const known = cache.get(style);
  if (known) return known;
  const declarations: Declaration[] = [];
  const list = parse(style, { context: "declarationList", parseValue: false, onParseError: () => undefined });
  if (list.type === "DeclarationList")
    list.children.forEach((node: CssNode) => {
      if (node.type !== "Declaration") return;
      declarations.push({
        property: node.property.toLowerCase(),
        value: generate(node.value).trim(),
        important: node.important !== false,
      });
    });
  if (cache.size >= cacheLimit) cache.clear();
  cache.set(style, declarations);
  return declarations;
}

export const declarationText = (declarations: readonly Declaration[]): string =>
  declarations
    .map(({ property, value, important }) => `${property}:${value}${important ? " !important" : ""}`)
    .join(";");

/** The value of the last declaration of a property, or null. */
export const lastValue = (declarations: readonly Declaration[], property: string): string | null =>
  declarations.findLast((declaration) => declaration.property === property)?.value ?? null;

/** Sets a property at the end, in place of every earlier declaration of it. */
export const withDeclaration = (
  declarations: readonly Declaration[],
  property: string,
  value: string,
): readonly Declaration[] => [
  ...declarations.filter((declaration) => declaration.property !== property),
  { property, value, important: false },
];

/** A length in px; lengths in other units and keywords answer null. */
export function pxLength(value: string): number | null {
  const trimmed = value.trim();
  if (/^-?0+$/.test(trimmed)) return 0;
  const found = /^(-?\d+(?:\.\d+)?|-?\.\d+)px$/i.exec(trimmed);
  return found ? Number(found[1]) : null;
}

/** One side of `padding`, the shorthand and the side's own property read in order; px, 0 when not declared. */
export function paddingSide(declarations: readonly Declaration[], side: "top" | "bottom"): number {
  let length = 0;
  for (const { property, value } of declarations) {
    if (property === `padding-${side}`) length = pxLength(value) ?? length;
    if (property === "padding") {
      const parts = value.split(/\s+/);
      length = pxLength((side === "top" ? parts[0] : (parts[2] ?? parts[0])) ?? "") ?? length;
    }
  }
  return length;
}
