/** A line break inside a line of text. */
import { element } from "../../html";
import { inlineKind, marked } from "../kind";
import type { ReadPieces } from "../piece";

export const readBreak: ReadPieces = () => [
  { role: "break", link: null, plain: "\n", html: () => element("br", {}) },
];

export const breakKind = inlineKind({
  name: "break",
  word: "line break",
  structure: { inline: true, group: "inline", selectable: false, linebreakReplacement: true },
  attributes: {},
  parse: [{ tag: "br" }],
  draw: (node) => ["br", marked(node)],
  read: readBreak,
});
