/** What must hold of any import: it is a valid document that runs nothing and loses nothing, and twice imported is once imported. */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { compile } from "@/core/compile";
import { importHtml, withUnsaid } from "@/core/importing";
import { hrefOf, image, readSignature } from "@/core/signature";
import { mutated } from "./mutate";
import { unaccounted } from "./unaccounted";

const folder = import.meta.dirname;
const inputs = readdirSync(folder)
  .filter((name) => /^\d.*html$/.test(name))
  .map((name) => readFileSync(path.join(folder, name), "utf8"));

/** The spoilt input of a seed. */
export const spoiltInput = (seed: number): string => mutated(inputs, seed);

/** What does not hold of an import, or null. */
export function soundImport(html: string): string | null {
  const imported = importHtml(html);
  const { document } = imported;
  const json = JSON.stringify(document.toJSON());
  const reading = readSignature(JSON.parse(json));
  if (!reading.ok) return `it is no valid document: ${reading.problems[0]?.message}`;
  let running: string | null = null;
  document.descendants((node) => {
    const addresses = [hrefOf(node) ?? "", image.is(node) ? image.of(node).source : ""];
    running ??= addresses.find((address) => /^(javascript|vbscript):/i.test(address)) ?? null;
  });
  if (running !== null) return `it holds ${String(running)}, which runs`;
  const lost = unaccounted(html, imported);
  const [first] = [...lost.words, ...lost.links, ...lost.pictures];
  if (first !== undefined) return `${JSON.stringify(first)} is neither in the document nor in the report`;
  const written = compile(document, {
    destination: "webmail-paste",
    person: null,
    base: "https://pictures.example",
  });
  return importHtml(withUnsaid(written, document)).document.eq(document)
    ? null
    : "imported again it is another document";
}
