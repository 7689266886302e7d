import { describe, expect, it } from "vitest";
import { colorsIn, explainSource, sizeMap } from "./index";
import { compile } from "../compile";
import { base, explained, opened, tamsin, demoDocument } from "../../../tests/opened-sources";

const source = explained(opened());

/** What is said at the beginning of a piece of the source, or so many letters behind it. */
function saidAt(piece: string, further = 0): string | undefined {
  const at = source.html.indexOf(piece);
  if (at < 0) throw new Error(`${piece} is not in the source`);
  return explainSource(source, at + further)?.says;
}

describe("what stands in a source", () => {
  it.each([
    ['<b style="color', 1, "the name, bold"],
    ['<b style="color', 10, "the colour of the name"],
    ["font-size:16px", 2, "the size of the name"],
    ['href="https://hedgepost.example', 2, "where the icon “Harrow Fen on Hedgepost” leads"],
    [
      'alt="Harrow Fen on Hedgepost"',
      2,
      "what is read aloud, or shown, where the icon “Harrow Fen on Hedgepost” is not shown",
    ],
    ["border-right:1.5px", 3, "the border at the right of cell 1 of row 1"],
    ["padding:0 16px 10px 0", 3, "the room inside cell 1 of row 1: top, right, bottom, left"],
    ['role="presentation"', 3, "tells screen readers that the signature is there for layout only"],
    ['href="mailto:', 2, "where the mail leads"],
    ['<td width="30"', 1, "what holds the icon “Harrow Fen on the web”"],
    ['height="6"', 1, "how high the gap is, for clients that read no styles; px"],
    ["</tr>", 2, "the end of what holds the gap"],
  ])("is said of %s", (piece, further, says) => {
    expect(saidAt(piece, further)).toBe(says);
  });

  it("is seen where that says more: a colour, a picture, an address", () => {
    const seenAt = (piece: string) => explainSource(source, source.html.indexOf(piece) + 2)?.seen;
    expect(seenAt("color:#C08A2B")).toEqual({
      kind: "color",
      hex: "#C08A2B",
      from: source.html.indexOf("#C08A2B", source.html.indexOf("color:#C08A2B")),
    });
    expect(seenAt('href="https://hedgepost')).toEqual({
      kind: "link",
      href: "https://hedgepost.example/harrowfen",
    });
    expect(seenAt('src="https://pictures.example/h/d17c')).toEqual({
      kind: "picture",
      address: "https://pictures.example/h/d17cdaeb5c8225a9c356/hedgepost.png",
    });
    expect(seenAt("padding:0 16px")).toBeNull();
  });

  it("has every colour at its place", () => {
    const colors = colorsIn(source.html, source.elements);
    expect(colors.length).toBeGreaterThan(8);
    for (const { from, to, hex } of colors) expect(source.html.slice(from, to)).toBe(hex);
  });
});

describe("the map of sizes", () => {
  it("counts the characters that are sent, and none of the layout", () => {
    for (const name of ["full", "short", "press-desk", "from-last-year"]) {
      const own = explained(opened(name));
      expect(sizeMap(own).characters).toBe(
        compile(demoDocument(name), { destination: "webmail-paste", person: tamsin, base }).length,
      );
    }
  });

  it("names what is in what, and no part costs more than what it is in", () => {
    const map = sizeMap(source);
    expect(map.parts.map(({ name }) => name)).toEqual(["row 1", "row 2"]);
    const icons = map.parts[0]?.parts[1]?.parts.find(({ name }) => name === "the row of icons");
    expect(icons?.parts).toHaveLength(5);
    const check = (place: typeof map): void => {
      const inside = place.parts.reduce((sum, { characters }) => sum + characters, 0);
      expect(inside).toBeLessThanOrEqual(place.characters);
      place.parts.forEach(check);
    };
    check(map);
  });
});
