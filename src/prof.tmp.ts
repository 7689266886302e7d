import { readFileSync } from "node:fs";
import { messageOf, receivedInModes, standInIds } from "@/core/clients";
import { compile } from "@/core/compile";
import { readPerson } from "@/core/people";
import { parseSignature } from "@/core/signature";
const readJson = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const html = compile(parseSignature(readJson("demo/signatures/full.json")), {
  destination: "webmail-paste",
  person: readPerson(readJson("demo/people/tamsin-okafor.json")),
  base: "https://pictures.harrowfen.example",
});
const m = messageOf(html);
const s = performance.now();
for (let i = 0; i < 3000; i++) for (const c of standInIds) receivedInModes(m, c);
console.log((performance.now() - s) / 3000);
