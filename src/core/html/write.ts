/**
 * Writing HTML as text: elements, attributes and inline styles, in the order given, so that the same
 * document always gives the same bytes. Escapes follow the HTML serialisation rules (WHATWG HTML 13.3).
 */

import { voidElements } from "./void-elements";

export const escapeText = (value: string): string =>
  value
    .replaceAll("&", "&amp;")
    .replaceAll("<", "&lt;")
    .replaceAll(">", "&gt;")
    .replaceAll("\u00a0", "&nbsp;");

export const escapeAttribute = (value: string): string =>
  value
    .replaceAll("&", "&amp;")
    .replaceAll('"', "&quot;")
    .replaceAll("<", "&lt;")
    .replaceAll(">", "&gt;")
    .replaceAll("\u00a0", "&nbsp;");

/** Attribute name to value; null and undefined leave the attribute out. */
export type Attributes = Readonly<Record<string, string | number | null | undefined>>;
/** CSS property to value; null and undefined leave the declaration out. Numbers are px. */
export type Declarations = Readonly<Record<string, string | number | null | undefined>>;

/** A length as CSS reads it: `12px`, `1.5px`, and plain `0`. */
export const px = (length: number): string => (length === 0 ? "0" : `${Number(length.toFixed(3))}px`);

export const styleText = (declarations: Declarations): string =>
  Object.entries(declarations)
    .filter(([, value]) => value !== null && value !== undefined)
    .map(([property, value]) => `${property}:${typeof value === "number" ? px(value) : value}`)
    .join(";");

/** One element. `style` is written last, and left out when it declares nothing. */
export function element(
  name: string,
  attributes: Attributes,
  style: Declarations = {},
  content = "",
): string {
  let tag = `<${name}`;
  for (const [attribute, value] of Object.entries(attributes))
    if (value !== null && value !== undefined) tag += ` ${attribute}="${escapeAttribute(String(value))}"`;
  const css = styleText(style);
  if (css) tag += ` style="${escapeAttribute(css)}"`;
  return voidElements.has(name) ? `${tag}>` : `${tag}>${content}</${name}>`;
}

/** Characters outside ASCII as numeric references, for readers that guess the character set. */
export const toNumericReferences = (html: string): string =>
  html.replace(/[^\x00-\x7f]/gu, (character) => `&#${character.codePointAt(0)};`);

/** Sides as the shortest CSS shorthand: `2px 0 2px 16px`. */
export function sidesShorthand(sides: { top: number; right: number; bottom: number; left: number }): string {
  const { top, right, bottom, left } = sides;
  const list =
    left !== right
      ? [top, right, bottom, left]
      : top !== bottom
        ? [top, right, bottom]
        : top !== right
          ? [top, right]
          : [top];
  return list.map(px).join(" ");
}
