/**
 * Takes the drawn glyphs from the icon set that they come from (Phosphor Icons, MIT, see src/core/icons/LICENCE.md),
 * each as a line and as a solid drawing, trimmed to the square around what is drawn. Run it after changing the list:
 * `npx tsx scripts/glyphs.ts`.
 */
import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { format, resolveConfig } from "prettier";
import sharp from "sharp";
import { contentBox } from "@/core/icons/content-box";
import { glyphList } from "@/core/icons/glyph-list";

const root = path.resolve(import.meta.dirname, "..");
/** Pixels for each unit of the drawing while it is measured. */
const fine = 4;
const units = 256;

async function takeGlyph(drawing: string, weight: "line" | "solid") {
  const [folder, file] = weight === "line" ? ["bold", `${drawing}-bold`] : ["fill", `${drawing}-fill`];
  const svg = await readFile(
    path.join(root, "node_modules/@phosphor-icons/core/assets", folder, `${file}.svg`),
    "utf8",
  );
  const content = /<svg[^>]*>(.*)<\/svg>/s.exec(svg)![1]!;
  const { data, info } = await sharp(Buffer.from(svg))
    .resize(units * fine)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const box = contentBox({ data, width: info.width, height: info.height });
  const side = Math.ceil(Math.max(box.width, box.height) / fine);
  const round = (value: number): number => Math.round(value * 4) / 4;
  const x = round((box.x + box.width / 2) / fine - side / 2);
  const y = round((box.y + box.height / 2) / fine - side / 2);
  return { viewBox: `${x} ${y} ${side} ${side}`, content };
}

const taken = await Promise.all(
  glyphList.map(async ({ name, drawing }) => {
    const [line, solid] = [await takeGlyph(drawing, "line"), await takeGlyph(drawing, "solid")];
    return [name, { line, solid }] as const;
  }),
);
const glyphs = Object.fromEntries(taken);
const source = `/** The drawings of the glyphs, written by \`scripts/glyphs.ts\`; their licence is in LICENCE.md. */
export const drawings: Readonly<
  Record<string, Readonly<Record<"line" | "solid", { readonly viewBox: string; readonly content: string }>>>
> = ${JSON.stringify(glyphs)};
`;
const file = path.join(root, "src/core/icons/drawings.ts");
await writeFile(file, await format(source, { ...(await resolveConfig(file)), parser: "typescript" }));
