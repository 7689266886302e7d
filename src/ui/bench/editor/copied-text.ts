/** What is copied as plain text: cells one after the other as tables are pasted elsewhere, fields as they are drawn. */
import type { Fragment, Node, Slice } from "prosemirror-model";
import type { Person } from "@/core/people";
import { fieldText, image, personField, separator } from "@/core/signature";

function inlineText(node: Node, person: Person | null): string {
  if (node.isText) return node.text ?? "";
  if (node.type.name === "break") return "\n";
  if (image.is(node)) return image.of(node).alt;
  if (separator.is(node)) return ` ${separator.of(node).glyph} `;
  return personField.is(node) ? fieldText(node, person) : "";
}

const joined = (content: Fragment, between: string, textOf: (node: Node) => string): string =>
  content.content
    .map(textOf)
    .filter((text) => text !== "")
    .join(between);

function textOf(node: Node, person: Person | null): string {
  if (node.isInline) return inlineText(node, person);
  if (image.is(node)) return image.of(node).alt;
  // Every cell counts, so that columns stay under one another.
  if (node.type.name === "row") return node.children.map((cell) => textOf(cell, person)).join("\t");
  return joined(node.content, node.inlineContent ? "" : "\n", (child) => textOf(child, person));
}

/** Lines part by line ends and cells by tabs; empty parts are left out. */
export const copiedText = ({ content }: Slice, person: Person | null): string =>
  joined(content, content.firstChild?.isInline ? "" : "\n", (node) => textOf(node, person));
