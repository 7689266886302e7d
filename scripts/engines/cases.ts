/** What is drawn in every engine: the demo's signatures, every starter pattern, and random documents. */
import { readFile } from "node:fs/promises";
import path from "node:path";
import type { Node } from "prosemirror-model";
import { compile } from "@/core/compile";
import { readPerson, type Person } from "@/core/people";
import { parseSignature, starterPatterns } from "@/core/signature";
import { demoSignatures } from "../../demo/documents";
import { randomDocuments } from "../../tests/e2e/random-documents";

export interface Case {
  readonly name: string;
  readonly document: Node;
  readonly person: Person | null;
}

const readJson = async (...names: readonly string[]): Promise<unknown> =>
  JSON.parse(await readFile(path.join("demo", ...names), "utf8"));

const random = { count: 50, seed: 20261127 } as const;

/** A picture that the random documents show; what it is does not matter, since its size is said. */
const anyPicture = "/h/0123456789abcdef0123/mark.png";

export async function cases(): Promise<readonly Case[]> {
  const demo = await Promise.all(
    demoSignatures.map(async ({ file, name, person }): Promise<Case> => ({
      name,
      document: parseSignature(await readJson("signatures", file)),
      person: person ? readPerson(await readJson("people", `${person}.json`)) : null,
    })),
  );
  const somebody = readPerson(await readJson("people", "tamsin-okafor.json"));
  return [
    ...demo,
    ...starterPatterns.map(({ name, document }): Case => ({
      name: `pattern: ${name}`,
      document,
      person: somebody,
    })),
    ...randomDocuments(random.count, random.seed, anyPicture).map((document, index): Case => ({
      name: `random ${index + 1}`,
      document,
      person: null,
    })),
  ];
}

/** The HTML of each as it is pasted, its pictures at an address. */
export const compiled = (all: readonly Case[], base: string): readonly string[] =>
  all.map(({ document, person }) => compile(document, { destination: "webmail-paste", person, base }));
