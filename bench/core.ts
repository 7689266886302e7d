/**
 * How long the heart takes on the demo's full signature: compile, each stand-in, the check, and all of a
 * keystroke's work together; beside a bare parse and serialise of the same HTML, to compare with in one run.
 */
import { readFileSync } from "node:fs";
import { parse, serialize } from "parse5";
import { checkSignature } from "@/core/checks";
import { received, standInIds } from "@/core/clients";
import { compile } from "@/core/compile";
import { readPerson } from "@/core/people";
import { parseSignature, schema } from "@/core/signature";
import { time } from "./time";

const readJson = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const document = parseSignature(readJson("demo/signatures/full.json"));
const person = readPerson(readJson("demo/people/tamsin-okafor.json"));
const options = { destination: "webmail-paste", person, base: "https://pictures.harrowfen.example" } as const;
const html = compile(document, options);

/** The document after one more letter in its first line of text; a new value each time, so that no cache helps. */
let typed = 0;
function afterKeystroke() {
  let at = 0;
  document.descendants((node, position) => {
    if (node.type.name === "line" && at === 0) at = position + 1;
  });
  return document.replace(at, at, schema.nodes.line.create(null, schema.text(`${typed++}`)).slice(0));
}

const baseline = time(() => serialize(parse(html)));
const rows: [string, ReturnType<typeof time>][] = [
  ["bare parse and serialise", baseline],
  ["compile", time(() => compile(document, options))],
  ...standInIds.map((id): [string, ReturnType<typeof time>] => [
    `received by ${id}`,
    time(() => received(html, id)),
  ]),
  ["findings", time(() => checkSignature(document, options))],
  [
    "all of a keystroke",
    time(() => {
      const changed = afterKeystroke();
      const written = compile(changed, options);
      for (const id of standInIds) received(written, id);
      checkSignature(changed, options);
    }),
  ],
];
for (const [name, { median, p95 }] of rows)
  process.stdout.write(
    `${name.padEnd(32)} ${median.toFixed(2).padStart(6)} ms median ${p95.toFixed(2).padStart(6)} ms p95 ${(median / baseline.median).toFixed(2).padStart(6)} × baseline\n`,
  );
