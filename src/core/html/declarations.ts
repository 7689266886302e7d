/** The style attribute as a list of declarations, in order. Later ones of the same property win, as in CSS. */
import type { CssNode } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import { remember } from "../memory";

export interface Declaration {
  readonly property: string;
  /** As it was written, without its mark. */
  readonly value: string;
  /** How it was marked important, as it was written: " !important", "!IMPORTANT"; empty where it was not. */
  readonly mark: string;
}

/** The mark of a declaration in its source; readers differ in what they make of its spacing and its letters. */
function markOf(source: string, important: boolean | string): string {
  if (important === false) return "";
  const at = source.lastIndexOf("!");
  return `${/\s/.test(source.charAt(at - 1)) ? " " : ""}!${important === true ? "important" : important}`;
}

/** Reads a style attribute. What does not parse as a declaration is left out, as a browser leaves it out. */
export const parseDeclarations = remember((style: string): readonly Declaration[] => {
  const declarations: Declaration[] = [];
  const list = parse(style, {
    context: "declarationList",
    parseValue: false,
    positions: true,
    onParseError: () => undefined,
  });
  if (list.type === "DeclarationList")
    list.children.forEach((node: CssNode) => {
      if (node.type !== "Declaration") return;
      declarations.push({
        property: node.property.toLowerCase(),
        value: generate(node.value).trim(),
        mark: markOf(style.slice(node.loc?.start.offset, node.loc?.end.offset), node.important),
      });
    });
  return declarations;
});

export const declarationText = (declarations: readonly Declaration[]): string =>
  declarations.map(({ property, value, mark }) => `${property}:${value}${mark}`).join(";");

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
  { property, value, mark: "" },
];

/** A length in px; lengths in other units and keywords answer null. */
export function pxLength(value: string): number | null {
  const trimmed = value.trim();
  if (/^-?0+$/.test(trimmed)) return 0;
  const found = /^(-?\d+(?:\.\d+)?|-?\.\d+)px$/i.exec(trimmed);
  return found ? Number(found[1]) : null;
}
