import { expect, it } from "vitest";
import {
  boxAttribute,
  designOf,
  messageOf,
  partAttribute,
  receivedInModes,
  standInIds,
  wholeAttribute,
} from "./index";

const html =
  '<table><tr><td style="border-right:1px solid #C08A2B">Ada <b>Quill</b></td><td><img src="https://a.example/a.png" alt="a"></td></tr>' +
  '<tr><td bgcolor="#1F5B57" style="padding:4px"><a href="https://a.example">Visit</a></td><td>&nbsp;</td></tr></table>';

/** What is named, by the attribute and in order: the element, and what it says. */
const named = (marked: string, attribute: string): readonly string[] =>
  [...marked.matchAll(new RegExp(`<([a-z]+)[^>]* ${attribute}="\\d*"`, "g"))].map(([, name = ""]) => name);

it("names runs of text, pictures, and cells that are bordered or filled", () => {
  const design = designOf(messageOf(html, true).read);
  expect(named(design, partAttribute)).toEqual(["td", "b", "img", "a"]);
  expect(named(design, boxAttribute)).toEqual(["td", "td"]);
  expect(named(design, wholeAttribute)).toEqual(["table"]);
});

it("names nothing where nobody asked", () => {
  const design = designOf(messageOf(html).read);
  for (const attribute of [partAttribute, boxAttribute, wholeAttribute])
    expect(design).not.toContain(attribute);
});

it.each(standInIds)("%s keeps the names in what it draws, by light and in the dark", (client) => {
  const design = designOf(messageOf(html, true).read);
  const ids = (drawn: string, attribute: string): readonly string[] =>
    [...drawn.matchAll(new RegExp(`${attribute}="(\\d+)"`, "g"))].map(([, id = ""]) => id);
  const shown = receivedInModes(messageOf(html, true), client);
  for (const { html: drawn } of [shown.light, shown.dark])
    for (const attribute of [partAttribute, boxAttribute])
      expect(ids(drawn, attribute)).toEqual(ids(design, attribute));
});
