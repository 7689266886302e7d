/** What the engines drew, as a page to read. */
import type { Apart } from "./compare";
import { within } from "./compare";
import type { PrintedApart } from "./document-engine";

export interface BrowserRow {
  readonly engine: string;
  /** Null where it could not be run. */
  readonly mode: string | null;
  readonly cases: number;
  readonly apart: readonly (Apart & { readonly name: string })[];
}

export interface PrintRow extends PrintedApart {
  readonly name: string;
}

const px = (length: number): string => `${length === Infinity ? "gone" : `${length.toFixed(1)} px`}`;
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [head, head.map(() => "---"), ...rows].map((cells) => `| ${cells.join(" | ")} |`).join("\n");

export function report(count: number, browsers: readonly BrowserRow[], prints: readonly PrintRow[]): string {
  const worst = browsers.flatMap(({ engine, mode, apart }) =>
    [...apart]
      .sort((one, other) => other.most - one.most)
      .slice(0, 5)
      .map(({ name, most, what, wraps }) => [
        `${engine}, ${mode}`,
        name,
        what,
        px(most),
        wraps ? "yes" : "no",
      ]),
  );
  return `# Held against real engines

Written by \`npm run engines\`, which is not part of \`npm test\`. It compiles the demo's signatures, every starter pattern and
random documents (${count} in all), draws them in browser engines, and prints them from a word processor.

## Browser engines

Every cell, word and picture is held against where the first engine draws it in standards mode. More than ${within} px apart, or a
word in another line, is counted. In quirks mode only those are held whose lines are of one type each: a line on which only
smaller type stands is lower there (WHATWG Quirks Mode, 3.3), and nothing that may be sent makes it higher. WebKitGTK sets letters
on whole px here, so a word may be half a px a letter from its place.

${table(
  ["Engine", "Mode", "Signatures", "Apart"],
  browsers.map(({ engine, mode, cases, apart }) => [
    engine,
    mode ?? "not installed",
    String(cases),
    String(apart.length),
  ]),
)}

${worst.length === 0 ? "None is apart." : `The farthest of each:\n\n${table(["Engine", "Signature", "What", "Apart", "Wraps"], worst)}`}

What is known of these: letters that do not ship with the application, as Arabic ones, are drawn by each engine with a face of its
own; raised and lowered letters stand up to 2 px higher or lower; a long line of small type wraps earlier where letters are
set on whole px. Cells and pictures of the demo's signatures and of the patterns are where they were designed in all three.

## A document engine

The file of the document-engine kind, printed to PDF. Places are of words, from the first word; the printer's page is narrower
than a mail's pane, and a word processor is one of several document engines and not the one that mail is drawn with. It makes
spacers about 12 px higher, turns tables of right-to-left signatures, and wraps what is wider than its page.

${
  prints.length === 0
    ? "Not installed."
    : table(
        ["Signature", "Across", "Down", "Farthest", "Not printed"],
        prints.map(({ name, across, down, what, missing }) => [
          name,
          px(across),
          px(down),
          what || "–",
          missing.length === 0 ? "–" : missing.slice(0, 4).join(", "),
        ]),
      )
}
`;
}
