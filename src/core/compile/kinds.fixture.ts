/** Documents of one cell for the tests of the kinds, and what blocks in them compile to. */
import { expect } from "vitest";
import { emptyPerson, type Person } from "../people";
import { parseSignature } from "../signature";
import { compile } from "./compile";

export const person: Person = {
  ...emptyPerson,
  name: "Ada Quill",
  title: "Archivist",
  phone: "+44 1632 960100",
  mail: "ada@harrowfen.example",
};

export type Json = Record<string, unknown>;
export const text = (value: string, ...marks: Json[]): Json => ({
  type: "text",
  text: value,
  ...(marks.length ? { marks } : {}),
});
export const line = (...content: Json[]): Json => ({ type: "line", ...(content.length ? { content } : {}) });
export const field = (name: string, attrs: Json = {}): Json => ({
  type: "personField",
  attrs: { field: name, ...attrs },
});
export const link = (href: string): Json => ({ type: "link", attrs: { href } });

export function signature(cells: Json[], settings: Json = {}): Json {
  return {
    type: "signature",
    attrs: settings,
    content: [{ type: "table", content: [{ type: "row", content: cells }] }],
  };
}

export const cell = (attrs: Json, ...content: Json[]): Json => ({
  type: "cell",
  attrs: { colwidth: [300], ...attrs },
  content,
});

export const options = { destination: "webmail-paste", person, base: "https://pictures.example" } as const;

export const type = "font-family:Arial,Helvetica,sans-serif;font-size:13px;line-height:18px;color:#333333";
export const open =
  '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="300" style="border-collapse:collapse;width:300px">' +
  `<tr><td width="300" valign="top" style="width:300px;vertical-align:top;${type}">`;
export const close = "</td></tr></table>";

/** What blocks compile to inside one cell of 300 px. */
export function inside(blocks: Json[], settings: Json = {}): string {
  const html = compile(parseSignature(signature([cell({}, ...blocks)], settings)), options);
  expect(
    html.startsWith(open.replace("#333333", (settings.textColor as string | undefined) ?? "#333333")),
  ).toBe(true);
  expect(html.endsWith(close)).toBe(true);
  return html.slice(open.length, -close.length);
}
