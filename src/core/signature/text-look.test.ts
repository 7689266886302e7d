import { describe, expect, it } from "vitest";
import { Transform } from "prosemirror-transform";
import { emptyPerson } from "../people";
import { build } from "./builder";
import { clearStyling, ownLooks, setUnderline, takeOffOwn } from "./edits/text-look";
import { link } from "./marks/link";
import { mixed, textLook, textLookIn } from "./queries";
import { schema } from "./schema";
import { settingsOf } from "./settings";
import type { Node } from "prosemirror-model";

const { marks } = schema;
const href = "https://harrowfen.example";
const mark = {
  big: marks.size.create({ size: 18 }),
  moss: marks.color.create({ color: "#3F5B2E" }),
  georgia: marks.font.create({ font: "Georgia" }),
  link: marks.link.create({ href }),
  bold: marks.bold.create(),
  underline: marks.underline.create(),
};

/** A document of lines, and where the text of each lies. */
function lines(...contents: (readonly Node[])[]): { document: Node; ranges: { from: number; to: number }[] } {
  const cell = build.cell({ width: [300] }, ...contents.map((content) => build.line(...content)));
  const document = build.signature({}, build.table(build.row(cell)));
  const ranges: { from: number; to: number }[] = [];
  document.descendants((node, position) => {
    if (node.type.name === "line") ranges.push({ from: position + 1, to: position + 1 + node.content.size });
  });
  return { document, ranges };
}

const styled = (text: string, ...own: (typeof mark)[keyof typeof mark][]): Node => schema.text(text, own);

describe("how text looks", () => {
  it("is the signature's where it has nothing of its own", () => {
    const { document, ranges } = lines([styled("Ada")]);
    const { font, size, textColor } = settingsOf(document);
    expect(textLookIn(document, ranges)).toEqual({
      ...{ font, size, color: textColor, bold: false, italic: false, underline: false, upperCase: false },
      ...{ strikethrough: false, superscript: false, subscript: false, letterSpacing: 0 },
      ...{ highlight: null, link: null },
    });
  });

  it("says what all of several lines have in common, and what is mixed", () => {
    const { document, ranges } = lines(
      [styled("Ada", mark.big, mark.bold), styled(" Quill", mark.big)],
      [styled("Archivist", mark.big, mark.georgia)],
    );
    const look = textLookIn(document, ranges);
    expect(look).toMatchObject({ size: 18, bold: mixed, font: mixed, italic: false });
    expect(textLookIn(document, [ranges[1]!])).toMatchObject({ font: "Georgia", bold: false });
  });

  it("does not count what a range only touches, small pictures or breaks", () => {
    const { document, ranges } = lines([
      styled("Ada", mark.big),
      schema.node("break"),
      styled("Quill", mark.bold),
    ]);
    const [{ from }] = ranges as [{ from: number; to: number }];
    expect(textLookIn(document, [{ from, to: from + 3 }])).toMatchObject({ size: 18, bold: false });
    expect(textLookIn(document, [{ from: from + 3, to: from + 4 }])).toBeNull();
    expect(textLookIn(document, [{ from: from + 1, to: from + 1 }])).toBeNull();
  });

  it("is that of links in links and in fields that lead somewhere", () => {
    const { document, ranges } = lines(
      [styled("Page", mark.link)],
      [build.field("mail")],
      [build.field("name")],
    );
    const { linkColor, textColor } = settingsOf(document);
    const ada = { ...emptyPerson, name: "Ada", mail: "ada@harrowfen.example" };
    expect(textLookIn(document, [ranges[0]!])).toMatchObject({ color: linkColor, link: href });
    expect(textLookIn(document, [ranges[1]!], ada)).toMatchObject({ color: linkColor, link: null });
    expect(textLookIn(document, [ranges[1]!])).toMatchObject({ color: textColor });
    expect(textLookIn(document, ranges, ada)).toMatchObject({ color: mixed, link: mixed });
  });

  it("is in the colour of a button in its words", () => {
    const given = build.button({ color: "#F3EFE4" }, build.text("Book"));
    const document = build.signature({}, build.table(build.row(build.cell({ width: [300] }, given))));
    expect(textLookIn(document, [{ from: 0, to: document.content.size }])).toMatchObject({
      color: "#F3EFE4",
    });
  });

  it("has the underline that links have", () => {
    const { document } = lines([styled("Page", mark.link)]);
    const settings = settingsOf(document);
    expect(textLook([mark.link], { ...settings, linkUnderline: true }).underline).toBe(true);
    const never = marks.link.create({ href, underline: false });
    expect(textLook([never], { ...settings, linkUnderline: true }).underline).toBe(false);
    expect(textLook([], { ...settings, linkUnderline: true }).underline).toBe(false);
  });
});

describe("what text has of its own", () => {
  const { document } = lines(
    [styled("Ada", mark.big), styled(" Quill", mark.big, mark.moss), styled(" FRS"), styled("*", mark.big)],
    [styled("Page", mark.link, mark.georgia)],
  );

  it("is counted by places", () => {
    expect(ownLooks(document)).toEqual({ font: 1, size: 2, color: 1 });
  });

  it("is taken off the whole signature one by one", () => {
    const { doc } = takeOffOwn(new Transform(document), "size");
    expect(ownLooks(doc)).toEqual({ font: 1, size: 0, color: 1 });
    expect(takeOffOwn(new Transform(doc), "size").steps).toEqual([]);
  });

  it("is taken off a range with all other styling, and links stay", () => {
    const own = marks.link.create({ href, color: "#A3262A", underline: true });
    const { document: given, ranges } = lines(
      [schema.text("Page", [own, mark.big, mark.bold])],
      [styled("Ada", mark.big)],
    );
    const { doc } = clearStyling(new Transform(given), [ranges[0]!]);
    expect(textLookIn(doc, [ranges[0]!])).toMatchObject({ bold: false, underline: false, link: href });
    expect(textLookIn(doc, [ranges[0]!])).toMatchObject({ color: settingsOf(doc).linkColor });
    expect(textLookIn(doc, [ranges[1]!])).toMatchObject({ size: 18 });
  });
});

describe("underlining", () => {
  const { document, ranges } = lines([
    styled("See "),
    styled("our page", mark.link),
    styled(" today", mark.underline),
  ]);

  it("underlines text by a mark and links by what they say of themselves", () => {
    const { doc } = setUnderline(new Transform(document), ranges, true);
    expect(textLookIn(doc, ranges)?.underline).toBe(true);
    const { content } = doc.nodeAt(ranges[0]!.from - 1)!;
    expect(
      content.content.map((node) =>
        node.marks.map((own) => (link.is(own) ? ["link", link.of(own).underline] : [own.type.name])),
      ),
    ).toEqual([[["underline"]], [["link", true]], [["underline"]]]);
  });

  it("taken off again leaves links as all links are", () => {
    const on = setUnderline(new Transform(document), ranges, true).doc;
    const { doc } = setUnderline(new Transform(on), ranges, false);
    expect(doc.nodeAt(ranges[0]!.from - 1)!.content.content.map((node) => node.marks)).toEqual([
      [],
      [mark.link],
      [],
    ]);
  });

  it("can be off in one link of a signature whose links are underlined", () => {
    const transform = new Transform(document).setDocAttribute("linkUnderline", true);
    const [{ from }] = ranges as [{ from: number; to: number }];
    const { doc } = setUnderline(transform, [{ from: from + 5, to: from + 8 }], false);
    expect(textLookIn(doc, [{ from: from + 4, to: from + 12 }])).toMatchObject({
      underline: false,
      link: href,
    });
  });
});
