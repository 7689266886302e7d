import { describe, expect, it } from "vitest";
import { emptyPerson, type Person } from "../people";
import { build, pictureKey, picturesToMake, withPicturesOf, type Substitute } from "../signature";
import { checkSignature, weightOf, type PictureFacts } from "./index";

const hash = "0123456789abcdef0123";
const [placed, own] = [`/h/${hash}/placed.png`, `/h/${hash}/own.png`];
const base = "https://pictures.harrowfen.example";
const { cell, line, row, signature, table, text } = build;

const document = (without: Substitute = "initials", source = placed) =>
  signature(
    { language: "en" },
    table(
      row(
        cell(
          { width: [112] },
          build.picture({ source, width: 96, height: 96, alt: "The design", field: "portrait", without }),
        ),
        cell({ width: [200] }, line(text("Ada Quill, Archivist at the seed library of Harrow Fen"))),
      ),
    ),
  );

const ada: Person = { ...emptyPerson, name: "Ada Quill", portrait: `${hash} 420 380 520` };
const drawn: Person = { ...ada, pictures: { [pictureKey(picturesToMake(document(), ada)[0]!)]: own } };

const facts = (bytes: number, needed: PictureFacts["needed"] = null): PictureFacts => ({
  ...{ pixels: { width: 192, height: 192 }, needed, bytes, use: "photo", trouble: null },
});

const found = (person: Person | null, pictures: Record<string, PictureFacts>, given = document()) =>
  checkSignature(given, { person, base, pictures }).map(({ code, at, mend }) => [code, at, mend?.kind]);

describe("findings of a picture that is each person's own", () => {
  it("are those of what somebody has, and not of what is placed", () => {
    const pictures = { [placed]: facts(900_000), [own]: facts(2000, { width: 192, height: 192 }) };
    expect(found(drawn, pictures)).toEqual([["picture-too-few-pixels", "row 1, cell 1, picture", undefined]]);
    expect(found(null, pictures).map(([code]) => code)).toContain("pictures-too-heavy");
    expect(weightOf(withPicturesOf(document(), drawn), pictures)).toBe(2000);
  });

  it("are none where nothing stands there: that was chosen", () => {
    expect(found({ ...ada, portrait: "" }, {}, document("nothing"))).toEqual([]);
    expect(found(null, {}, document("nothing", ""))).toEqual([]);
  });

  it("have no mend that would put somebody's picture into everybody's signature", () => {
    const colors = { [own]: [{ color: "#121212", share: 1, corner: false }] };
    const dark = (person: Person | null, by: typeof colors) =>
      checkSignature(document(), { person, base, colors: by }).filter(({ code }) => code.includes("dark"));
    const [finding] = dark(drawn, colors);
    expect([finding?.code, finding?.mend]).toEqual(["picture-vanishes-in-the-dark", undefined]);
    // What is placed can be drawn anew, since the document holds it.
    const ofPlaced = { [placed]: colors[own]! };
    expect(dark(null, ofPlaced)[0]?.mend?.kind).toBe("redraw");
  });
});
