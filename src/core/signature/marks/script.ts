/** Text above or below the line: ®, x², H₂O. It is one or the other. */
import { markKind, plainMark } from "../kind";

export type Script = "super" | "sub";

/** Its size beside that of the text around it. */
export const scriptScale = 0.7;

export const superscript = plainMark("superscript");
export const subscript = plainMark("subscript");

const structure = { excludes: "superscript subscript" };

export const superscriptKind = markKind({
  name: "superscript",
  attributes: {},
  structure,
  parse: [{ tag: "sup" }, { style: "vertical-align=super" }],
  draw: () => ["sup", 0],
});

export const subscriptKind = markKind({
  name: "subscript",
  attributes: {},
  structure,
  parse: [{ tag: "sub" }, { style: "vertical-align=sub" }],
  draw: () => ["sub", 0],
});

const digits: Readonly<Record<Script, string>> = { super: "⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻", sub: "₀₁₂₃₄₅₆₇₈₉₊₋" };

/** Digits and signs as characters that stand above or below by themselves, for plain text; other text as it is. */
export function plainScript(text: string, script: Script): string {
  const places = [...text].map((character) => "0123456789+-".indexOf(character));
  return places.every((place) => place >= 0)
    ? places.map((place) => digits[script].charAt(place)).join("")
    : text;
}
