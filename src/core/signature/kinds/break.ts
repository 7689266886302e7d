/** A line break inside a line of text. */
import { element } from "../html";
import type { ReadPieces } from "../inline";
import { marked, type InlineKind } from "../kind";

export const readBreak: ReadPieces = () => [
  { role: "break", link: null, plain: "\n", html: () => element("br", {}) },
];

export const breakKind: InlineKind = {
  name: "break",
  word: "line break",
  structure: { inline: true, group: "inline", selectable: false, linebreakReplacement: true },
  attributes: {},
  parse: [{ tag: "br" }],
  draw: (node) => ["br", marked(node)],
  read: readBreak,
};
