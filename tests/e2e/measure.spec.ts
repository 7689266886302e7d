import { readdirSync, readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { compile } from "@/core/compile";
import { fitOf, personalWords } from "@/core/fit";
import { missingLetters, textWidth, type FaceStyle } from "@/core/measure";
import { readPerson } from "@/core/people";
import { drawnFontRules, faceRules, parseSignature } from "@/core/signature";
import { expect, test } from "./test";

/** Fixed point of Chromium's layout; px. */
const unit = 1 / 64;

/** A page of nothing but the faces that ship, which the server gives out. */
async function openFaces(page: Page, rules: string): Promise<void> {
  await page.route("**/drawn-faces", (route) =>
    route.fulfill({
      contentType: "text/html;charset=utf-8",
      body: `<!doctype html><style>${rules}</style><body></body>`,
    }),
  );
  await page.goto("/drawn-faces");
}

const demoPeople = readdirSync("demo/people").map((file) =>
  readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8"))),
);

test("texts are as wide in Chromium as they are measured without it, in every face and style", async ({
  page,
}) => {
  const texts = demoPeople.flatMap(({ name, title, phone, mail, address }) => [
    name,
    title,
    phone,
    mail,
    address,
  ]);
  const known = [...new Set(texts)].filter((text) => text !== "");
  const faces: readonly FaceStyle["face"][] = ["arimo", "tinos", "cousine", "gelasio", "dejavu-sans"];
  await openFaces(page, faces.map((face) => faceRules(face, face, "/fonts")).join("\n"));
  for (const face of faces)
    for (const [bold, italic] of [
      [false, false],
      [true, false],
      [false, true],
      [true, true],
    ] as const)
      for (const [size, letterSpacing] of [
        [11, 0],
        [13, 0],
        [16.5, 0.5],
      ] as const) {
        // Letters that a face does not have are drawn with whatever the machine has.
        const said = known.filter((text) => missingLetters(text, { face, bold, italic }).length === 0);
        expect(said.length).toBeGreaterThan(50);
        const drawn = await page.evaluate(
          async ({ font, said, letterSpacing }) => {
            await document.fonts.load(font, said.join(""));
            return said.map((text) => {
              const span = document.createElement("span");
              span.style.cssText = `font:${font};letter-spacing:${letterSpacing}px;white-space:pre;position:absolute`;
              span.textContent = text;
              document.body.append(span);
              const { width } = span.getBoundingClientRect();
              span.remove();
              return width;
            });
          },
          { font: `${italic ? "italic " : ""}${bold ? 700 : 400} ${size}px "${face}"`, said, letterSpacing },
        );
        const wrong = said
          .map((text, index) => ({
            text,
            drawn: drawn[index] ?? 0,
            measured: textWidth(text, { face, bold, italic, size, letterSpacing }),
          }))
          .filter(({ drawn: own, measured }) => Math.abs(own - measured) > 2 * unit);
        expect(wrong, `${face}, ${bold ? "bold" : "regular"}${italic ? " italic" : ""}, ${size} px`).toEqual(
          [],
        );
      }
});

test("lines of everybody's signatures wrap in Chromium where it is said that they do, and no others", async ({
  page,
}) => {
  await openFaces(page, drawnFontRules("/fonts"));
  const cases = readdirSync("demo/signatures").flatMap((file) => {
    const document = parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")));
    return (
      demoPeople
        .map((person) => ({ person, fit: fitOf(document, person) }))
        // Letters that no face has are drawn with whatever the machine has.
        .filter(({ fit }) => fit.missing.length === 0)
        .map(({ person, fit }) => ({
          of: `${file}, ${person.name}`,
          html: compile(document, { destination: "webmail-paste", person, base: "https://pictures.example" }),
          said: fit.tight.map(({ text, lines }) => ({ text: text.trim(), lines })),
          personal: personalWords(document, person),
        }))
    );
  });
  expect(cases.length).toBeGreaterThan(100);
  const drawn = await page.evaluate(async (given) => {
    const plain = (text: string): string => text.replace(/\s+/g, " ").trim();
    const found: { of: string; lines: { text: string; lines: number }[] }[] = [];
    for (const { of, html, personal } of given) {
      document.body.innerHTML = `<div style="width:800px">${html}</div>`;
      await document.fonts.ready;
      const lines = personal.flatMap((text) => {
        const holders = [...document.querySelectorAll("body > div *")].filter(
          (element) => plain(element.textContent) === text,
        );
        const holder = holders.at(-1);
        if (!holder) return [];
        const range = document.createRange();
        range.selectNodeContents(holder);
        const rows: number[] = [];
        for (const { top, bottom, width } of [...range.getClientRects()].sort(
          (one, other) => one.top - other.top,
        ))
          if (width > 0 && top >= (rows.at(-1) ?? -Infinity) - 2) rows.push(bottom);
        return [{ text, lines: rows.length }];
      });
      found.push({ of, lines });
    }
    return found;
  }, cases);
  expect(drawn.reduce((sum, { lines }) => sum + lines.length, 0)).toBeGreaterThan(200);
  const wrapped = drawn.map(({ of, lines }) => ({ of, lines: lines.filter((each) => each.lines > 1) }));
  expect(wrapped.filter(({ lines }) => lines.length > 0)).toEqual(
    cases.filter(({ said }) => said.length > 0).map(({ of, said }) => ({ of, lines: said })),
  );
});
