/**
 * How long all stand-ins take, light and dark, on the demo's full signature, read once: beside as many copies and
 * serialisations of the parsed tree, and on documents 2, 4 and 8 times as large. All in one run, to be compared in it.
 */
import { readFileSync } from "node:fs";
import { messageOf, receivedInModes, standInIds } from "@/core/clients";
import { compile } from "@/core/compile";
import { copyTree, parseMessage, writeParts } from "@/core/html";
import { readPerson } from "@/core/people";
import { parseSignature } from "@/core/signature";
import { time } from "./time";

const readJson = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const html = compile(parseSignature(readJson("demo/signatures/full.json")), {
  destination: "webmail-paste",
  person: readPerson(readJson("demo/people/tamsin-okafor.json")),
  base: "https://pictures.harrowfen.example",
});
/** Light and dark. */
const proofs = standInIds.length * 2;

function proveAll(source: string): void {
  const message = messageOf(source);
  for (const client of standInIds) receivedInModes(message, client);
}

function copyAll(source: string): void {
  const { body } = parseMessage(source);
  for (let copy = 0; copy < proofs; copy++) writeParts(copyTree(body));
}

const say = (name: string, { median, p95 }: ReturnType<typeof time>, compared = ""): void => {
  process.stdout.write(
    `${name.padEnd(46)} ${median.toFixed(2).padStart(7)} ms median ${p95.toFixed(2).padStart(7)} ms p95 ${compared}\n`,
  );
};

// What is worked out once for each style is there after the first time; a document is edited, and its styles mostly stay.
const first = performance.now();
proveAll(html);
process.stdout.write(`the first time: ${(performance.now() - first).toFixed(1)} ms\n`);

const copies = time(() => copyAll(html), 200);
const all = time(() => proveAll(html), 200);
say(`${proofs} copies and serialisations`, copies);
say(
  `${standInIds.length} stand-ins, light and dark`,
  all,
  `${(all.median / copies.median).toFixed(2)} × the copies`,
);
for (const client of standInIds) {
  const message = messageOf(html);
  say(
    `  ${client}, light and dark`,
    time(() => receivedInModes(message, client), 200),
  );
}
for (const times of [2, 4, 8]) {
  const larger = time(() => proveAll(html.repeat(times)), 60);
  say(`${times} times as large`, larger, `${(larger.median / all.median).toFixed(2)} × as long`);
}
