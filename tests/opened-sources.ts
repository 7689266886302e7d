/** The demo's signatures as opened sources, for tests. */
import { readFileSync } from "node:fs";
import type { Node } from "prosemirror-model";
import { readTags } from "../src/core/html";
import { readPerson, type Person } from "../src/core/people";
import { parseSignature } from "../src/core/signature";
import {
  openSource,
  readSource,
  sourceElements,
  type ExplainedSource,
  type OpenedSource,
} from "../src/core/source";

export const base = "https://pictures.example";

export const tamsin: Person = readPerson(JSON.parse(readFileSync("demo/people/tamsin-okafor.json", "utf8")));

export const demoDocument = (name: string): Node =>
  parseSignature(JSON.parse(readFileSync(`demo/signatures/${name}.json`, "utf8")));

export const opened = (name = "full", person: Person | null = tamsin): OpenedSource =>
  openSource(demoDocument(name), { person, base });

/** What a source becomes when `from` is put in place of `to` once; throws where it is not in there. */
export function changedOnce(source: OpenedSource, from: string, to: string): Node {
  if (!source.text.includes(from)) throw new Error(`${from} is not in the source`);
  return readSource(source, source.text.replace(from, to)).document;
}

export function explained(source: OpenedSource): ExplainedSource {
  const { document, places } = readSource(source, source.text);
  const elements = sourceElements(source.text, readTags(source.text).items);
  return { html: source.text, elements, document, places, person: source.person };
}
