/** HTML to hold the geometry against Chromium with: random documents said of people of the demo, and the demo's own signatures. */
import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { designPage } from "@/core/clients";
import { compile } from "@/core/compile";
import { readPerson, type Person } from "@/core/people";
import { parseSignature } from "@/core/signature";
import type { Page } from "@/core/layout";
import { anyDocument } from "./any-document";
import type { Sample } from "./compare-geometry";
import { randomDocuments } from "./e2e/random-documents";

const base = "https://pictures.example";

export const demoPeople: readonly Person[] = readdirSync("demo/people").map((file) =>
  readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8"))),
);

/** A design in a room in which its longer lines wrap, in a browser's own type. */
export const samplePage: Page = { ...designPage, width: 700 };
export const sampleRules = "body{font:16px 'Times New Roman'}";

/** Half of them of everything that the schema lets be, half of what people make. */
export function randomSamples(count: number, seed: number): readonly Sample[] {
  const half = Math.ceil(count / 2);
  const documents = [
    ...fc.sample(anyDocument, { numRuns: half, seed }),
    ...randomDocuments(count - half, seed, "/h/0123456789abcdef0123/reed.png"),
  ];
  return documents.map((document, index) => {
    const person = demoPeople[index % demoPeople.length] ?? null;
    return {
      of: `document ${index} of seed ${seed}, ${person?.name}`,
      html: compile(document, { destination: "webmail-paste", person, base }),
    };
  });
}

/** Each of the demo's signatures, said of some people. Pictures that are files of the demo's folder are drawn by nobody. */
export const demoSamples = (people: readonly Person[]): readonly Sample[] =>
  readdirSync("demo/signatures").flatMap((file) => {
    const document = parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")));
    return people
      .map((person) => ({
        of: `${file}, ${person.name}`,
        html: compile(document, { destination: "webmail-paste", person, base }),
      }))
      .filter(({ html }) => !html.includes("file:"));
  });
