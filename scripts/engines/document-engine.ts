/** A word processor as one real document engine: signatures as files, printed to PDF, their words found in it. */
import { execFile } from "node:child_process";
import { mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { promisify } from "node:util";
import { compile } from "@/core/compile";
import type { Case } from "./cases";
import type { Measured } from "./measure-page";

const run = promisify(execFile);

export const documentEngine = {
  name: "LibreOffice Writer",
  needs: { "/usr/bin/soffice": "libreoffice-writer-nogui", "/usr/bin/pdftotext": "poppler-utils" },
} as const;

/** PDF has 72 points an inch, CSS 96 px. */
const pxOfPoint = 96 / 72;

export interface PrintedWord {
  readonly word: string;
  /** px from the first word's left and middle. */
  readonly left: number;
  readonly middle: number;
}

const unescape = (text: string): string =>
  text.replace(
    /&(amp|lt|gt|quot|apos);/g,
    (_all, name: string) => ({ amp: "&", lt: "<", gt: ">", quot: '"', apos: "'" })[name] ?? "",
  );

/** Words with their places from the first of them. */
export function fromFirst(
  words: readonly { word: string; left: number; middle: number }[],
): readonly PrintedWord[] {
  const [first] = words;
  return first
    ? words.map(({ word, left, middle }) => ({
        word,
        left: left - first.left,
        middle: middle - first.middle,
      }))
    : [];
}

/** The words of a measured signature, as those of a print are told. */
export const wordsOf = ({ words }: Measured): readonly PrintedWord[] =>
  fromFirst(
    words.map(({ word, box: [left, top, , bottom] }) => ({ word, left, middle: (top + bottom) / 2 })),
  );

/** What is printed of each of some signatures. */
export async function printed(
  all: readonly Case[],
  base: string,
): Promise<readonly (readonly PrintedWord[])[]> {
  const folder = await mkdtemp(path.join(tmpdir(), "still-line-engines-"));
  try {
    const files = await Promise.all(
      all.map(async ({ document, person }, index) => {
        const file = path.join(folder, `case-${index}.html`);
        await writeFile(file, compile(document, { destination: "document-file", person, base }));
        return file;
      }),
    );
    await run(
      "/usr/bin/soffice",
      [
        `-env:UserInstallation=file://${folder}/profile`,
        "--headless",
        "--infilter=HTML (StarWriter)",
        "--convert-to",
        "pdf:writer_pdf_Export",
        "--outdir",
        folder,
        ...files,
      ],
      { timeout: 300_000 },
    );
    return await Promise.all(
      files.map(async (file) => {
        const boxes = file.replace(/html$/, "xml");
        await run("/usr/bin/pdftotext", ["-bbox", file.replace(/html$/, "pdf"), boxes]);
        const found = (await readFile(boxes, "utf8")).matchAll(
          /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="[\d.]+" yMax="([\d.]+)">([^<]*)<\/word>/g,
        );
        return fromFirst(
          [...found].map(([, left, top, bottom, word]) => ({
            word: unescape(word ?? ""),
            left: Number(left) * pxOfPoint,
            middle: ((Number(top) + Number(bottom)) / 2) * pxOfPoint,
          })),
        );
      }),
    );
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

export interface PrintedApart {
  /** The greatest distance across and down; px. */
  readonly across: number;
  readonly down: number;
  readonly what: string;
  /** Words that are drawn and not printed. */
  readonly missing: readonly string[];
}

/** The nearest printed word that says the same, for each that is drawn. */
export function printedApart(drawn: readonly PrintedWord[], print: readonly PrintedWord[]): PrintedApart {
  let [across, down, what] = [0, 0, ""];
  const missing: string[] = [];
  for (const { word, left, middle } of drawn) {
    const same = print
      .filter((each) => each.word === word)
      .map((each) => ({ across: Math.abs(each.left - left), down: Math.abs(each.middle - middle) }))
      .sort((one, other) => one.across + one.down - (other.across + other.down))[0];
    if (!same) {
      missing.push(word);
      continue;
    }
    if (Math.max(same.across, same.down) > Math.max(across, down)) what = `“${word}”`;
    across = Math.max(across, same.across);
    down = Math.max(down, same.down);
  }
  return { across, down, what, missing };
}
