/** The trust's drawn pictures: its logo, its banner, and icons as they are found in a folder. */
import { readFile } from "node:fs/promises";
import sharp from "sharp";
import facts from "./brand.json" with { type: "json" };
import { outline } from "./outlines";

/** The brand's colours, and two greys for type. */
export const brand = { ...brandColors(), ink: "#2A2F26", grey: "#4F554A" } as const;

function brandColors(): Record<"moss" | "ochre" | "bone", string> {
  const [moss, ochre, bone] = facts.colors.map(({ hex }) => hex);
  return { moss: moss!, ochre: ochre!, bone: bone! };
}

const document = (width: number, height: number, content: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${content}</svg>\n`;

/** A seed that splits, 112 × 172 px, with its top at (x, y). */
const seed = (x: number, y: number, leaf: string, vein: string): string =>
  `<g transform="translate(${x} ${y})"><path d="M56 0 C112 48 112 124 56 172 C0 124 0 48 56 0Z" fill="${leaf}"/>` +
  `<path d="M56 32 L56 158" stroke="${vein}" stroke-width="7" stroke-linecap="round"/>` +
  `<path d="M56 90 C74 82 84 70 88 54 M56 120 C40 112 30 100 26 86" stroke="${vein}" stroke-width="6" fill="none" stroke-linecap="round"/></g>`;

/** The logo on nothing, 568 × 200 px. In black ink it vanishes on a dark canvas: the variant that fails. */
export const logoSvg = (ink: string, leaf: string): string =>
  document(
    568,
    200,
    seed(14, 14, leaf, brand.bone) +
      outline("Harrow Fen", { font: "serif", size: 74, x: 152, y: 106, fill: ink }).svg +
      outline("SEED LIBRARY", { font: "sans", size: 31, x: 155, y: 156, fill: ink, tracking: 9.4 }).svg,
  );

/** The banner of the Open Store Weekend, 1260 × 240 px: jars of seed on a shelf, and what is on. */
export const bannerSvg = (): string => {
  const jars = Array.from({ length: 7 }, (_unused, n) => {
    const x = 48 + n * 62;
    const tone = ["#8C6A2B", "#C08A2B", "#5E7A45", "#A4552F", "#D2B36A", "#3F5B2E", "#94783F"][n]!;
    const fill = [62, 84, 48, 92, 70, 56, 80][n]!;
    return (
      `<rect x="${x}" y="76" width="46" height="112" rx="7" fill="#FDFCF8" stroke="#B9B29D" stroke-width="2"/>` +
      `<rect x="${x + 3}" y="${186 - fill}" width="40" height="${fill}" rx="4" fill="${tone}"/>` +
      `<rect x="${x + 4}" y="62" width="38" height="14" rx="3" fill="#6C6350"/>`
    );
  }).join("");
  return document(
    1260,
    240,
    `<rect width="1260" height="240" fill="${brand.moss}"/><rect width="520" height="240" fill="${brand.bone}"/>` +
      `<rect y="188" width="520" height="12" fill="#6C6350"/>${jars}` +
      outline("Open Store Weekend", { font: "serif", size: 70, x: 566, y: 112, fill: brand.bone }).svg +
      outline("12 and 13 June, 10 to 4, the Old Malthouse", {
        font: "sans",
        size: 31,
        x: 570,
        y: 172,
        fill: "#E4CE9A",
      }).svg,
  );
};

/** A glyph in any ink, 96 × 96 px with wide margins: what a folder of found icons holds. */
export async function bareIconSvg(drawing: string, ink: string): Promise<string> {
  const source = await readFile(`node_modules/lucide-static/icons/${drawing}.svg`, "utf8");
  const content = /<svg[^>]*>([\s\S]*)<\/svg>/.exec(source)![1]!;
  return document(
    96,
    96,
    `<g transform="translate(24 24) scale(2)" fill="none" stroke="${ink}" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">${content}</g>`,
  );
}

export const toPng = (svg: string): Promise<Buffer> =>
  sharp(Buffer.from(svg)).png({ compressionLevel: 9 }).toBuffer();
