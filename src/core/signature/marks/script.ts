/** Text above or below the line: ®, x², H₂O. It is one or the other. */
import { markKind, plainMark } from "../kind";

export type Script = "super" | "sub";

/** Its size beside that of the text around it. */
export const scriptScale = 0.7;

export const superscript = plainMark("superscript");
export const subscript = plainMark("subscript");

/** Drawn as it is compiled: without making the line higher. */
const scriptKind = <const N extends string>(name: N, tag: "sup" | "sub", script: Script) =>
  markKind({
    name,
    attributes: {},
    structure: { excludes: "superscript subscript" },
    parse: [{ tag }, { style: `vertical-align=${script}` }],
    draw: () => [
      tag,
      { style: `position:static;vertical-align:${script};font-size:${100 * scriptScale}%;line-height:0` },
      0,
    ],
  });

export const superscriptKind = scriptKind("superscript", "sup", "super");
export const subscriptKind = scriptKind("subscript", "sub", "sub");

const digits: Readonly<Record<Script, string>> = { super: "⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻", sub: "₀₁₂₃₄₅₆₇₈₉₊₋" };

/** Digits and signs as characters that stand above or below by themselves, for plain text; other text as it is. */
export function plainScript(text: string, script: Script): string {
  const places = [...text].map((character) => "0123456789+-".indexOf(character));
  return places.every((place) => place >= 0)
    ? places.map((place) => digits[script].charAt(place)).join("")
    : text;
}
