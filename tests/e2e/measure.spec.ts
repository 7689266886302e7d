import { readdirSync, readFileSync } from "node:fs";
import { missingLetters, textWidth, type FaceStyle } from "@/core/measure";
import { readPerson } from "@/core/people";
import { faceRules } from "@/core/signature";
import { expect, test } from "./test";

/** Fixed point of Chromium's layout; px. */
const unit = 1 / 64;

test("texts are as wide in Chromium as they are measured without it, in every face and style", async ({
  page,
}) => {
  const texts = readdirSync("demo/people").flatMap((file) => {
    const { name, title, phone, mail, address } = readPerson(
      JSON.parse(readFileSync(`demo/people/${file}`, "utf8")),
    );
    return [name, title, phone, mail, address];
  });
  const known = [...new Set(texts)].filter((text) => text !== "");
  const faces: readonly FaceStyle["face"][] = ["arimo", "tinos", "cousine", "gelasio", "dejavu-sans"];
  // A page of nothing but the faces that ship, which the server gives out.
  await page.route("**/drawn-faces", (route) =>
    route.fulfill({
      contentType: "text/html;charset=utf-8",
      body: `<!doctype html><style>${faces.map((face) => faceRules(face, face, "/fonts")).join("\n")}</style>`,
    }),
  );
  await page.goto("/drawn-faces");
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
