import { readFileSync } from "node:fs";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import {
  blankSignature,
  build,
  parseSignature,
  pictureSourcesOf,
  picturesOf,
  replaceSources,
  schema,
} from "../signature";
import { applyMend, checkSignature, costliestParts, pixelsLacking, type PictureFacts } from "./index";

const demo = (file: string) => parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")));
const options = { person: null, base: "https://pictures.harrowfen.example" };

/** Those that wait for somebody. */
const open = (...given: Parameters<typeof checkSignature>) =>
  checkSignature(...given).filter(({ severity }) => severity !== "note");

describe("the demo's faulty signature", () => {
  it("has each of its faults found, with its place", () => {
    const found = checkSignature(demo("from-last-year.json"), options).map(
      ({ code, at, severity }) => `${severity} ${code} at ${at}`,
    );
    expect(found).toEqual([
      "attention table-too-wide at signature",
      "note wider-than-a-phone at signature",
      "attention font-not-web-safe at signature",
      "attention empty-lines at row 1, cell 2, line 3",
      "attention picture-without-alt at row 1, cell 1, picture 1",
      "break picture-not-hosted at row 1, cell 1, picture 2",
      "attention icons-of-different-sizes at row 1, cell 2, line 6",
      "attention picture-without-alt at row 1, cell 2, line 6, picture 1",
      "note text-hard-to-read-in-the-dark at row 1, cell 2, line 1",
      "break link-doubled at row 1, cell 2, line 4",
      "break link-unreachable at row 1, cell 2, line 5",
      "break link-doubled at row 1, cell 2, line 6, picture 3",
    ]);
  });
});

describe("the demo's other signatures", () => {
  it.each(["full.json", "short.json", "press-desk.json", "right-to-left.json"])(
    "%s has no finding at a public address",
    (file) => {
      expect(open(demo(file), options)).toEqual([]);
    },
  );

  it("with hosted pictures are told when the address is not public; without pictures it does not matter", () => {
    const here = { ...options, base: "http://127.0.0.1:4310" };
    expect(open(demo("full.json"), here).map(({ code }) => code)).toEqual(["address-not-public"]);
    expect(open(demo("short.json"), here)).toEqual([]);
  });

  describe("with what is known of their pictures", () => {
    const [{ node }] = picturesOf(demo("full.json")) as [ReturnType<typeof picturesOf>[number]];
    const source = String(node.attrs.source);
    const { width, height } = node.attrs as { width: number; height: number };
    const good: PictureFacts = {
      pixels: { width: 2 * width, height: 2 * height },
      needed: null,
      bytes: 1000,
      use: "photo",
      trouble: null,
    };
    const found = (facts: Partial<PictureFacts>) =>
      open(demo("full.json"), { ...options, pictures: { [source]: { ...good, ...facts } } }).map(
        ({ code, severity, message }) => [code, severity, message],
      );

    it("have no finding when all is well", () => expect(found({})).toEqual([]));

    it("are told when they weigh too much, each by what it is and all together", () => {
      expect(found({ bytes: 41 * 1024 })).toEqual([
        ["picture-too-heavy", "attention", "It weighs 41 KB, and 40 KB is the most for a photo."],
      ]);
      expect(found({ bytes: 200 * 1024, use: "loop" })).toEqual([]);
      expect(found({ bytes: 205 * 1024, use: "loop" }).map(([code, , message]) => [code, message])).toEqual([
        ["pictures-too-heavy", "Its pictures weigh 205 KB, and 200 KB is the most they should."],
        ["picture-too-heavy", "It weighs 205 KB, and 200 KB is the most for a loop."],
      ]);
    });

    it("are told how many pixels are missing", () => {
      const [[code, , message]] = found({
        pixels: { width, height },
        needed: { width: 2 * width, height: 2 * height },
      }) as [string[]];
      expect(code).toBe("picture-too-few-pixels");
      expect(message).toMatch(
        new RegExp(`^It has ${width} × ${height} px, and needs ${2 * width} × ${2 * height} px to be sharp`),
      );
    });

    it("are told the even double of the display size where a file from elsewhere has less", () => {
      const known = (pixels: { width: number; height: number }) =>
        pixelsLacking({ width, height }, { ...good, pixels });
      expect(known({ width: 2 * width - 1, height: 2 * height })).toBeNull();
      expect(known({ width: 2 * width - 2, height: 2 * height - 2 })).toEqual({
        width: 2 * width,
        height: 2 * height,
      });
      expect(pixelsLacking({ width, height }, { ...good, pixels: null })).toBeNull();
    });

    it("are told where a picture is instead, and are shown from there by one mend", () => {
      const better = "https://share.example/new/photo.png";
      const document = demo("full.json");
      const facts = {
        [source]: { ...good, trouble: { usable: true, page: false, message: "It moved.", better } },
      };
      const [finding] = checkSignature(document, { ...options, pictures: facts }).filter(
        ({ code }) => code === "picture-moved",
      );
      expect(finding?.mend).toMatchObject({
        kind: "show-from",
        label: "Show it from share.example/new/photo.png",
      });
      const { doc } = applyMend(new Transform(document), finding!.mend!);
      expect(pictureSourcesOf(doc)).toContain(better);
      expect(pictureSourcesOf(doc)).not.toContain(source);
    });

    it("are told when a picture is drawn out of proportion, but not for a px of rounding", () => {
      expect(found({ pixels: { width: 2 * width, height } }).map(([code]) => code)).toEqual([
        "picture-stretched",
      ]);
      expect(found({ pixels: { width: 2 * width + 1, height: 2 * height } })).toEqual([]);
    });

    it("are told what is wrong at an address elsewhere", () => {
      expect(
        found({
          pixels: null,
          trouble: { usable: false, page: false, message: "It is gone.", better: null },
        }),
      ).toEqual([["picture-not-open", "break", "It is gone."]]);
      expect(found({ trouble: { usable: true, page: false, message: "It moved.", better: null } })).toEqual([
        ["picture-moved", "attention", "It moved."],
      ]);
      const elsewhere = replaceSources(demo("full.json"), new Map([[source, "https://share.example/a.png"]]));
      expect(open(elsewhere, { ...options, pictures: {} }).map(({ code }) => code)).toEqual([
        "picture-not-looked-at",
      ]);
    });
  });
});

describe("a signature over 10,000 characters", () => {
  const { table, row, cell, line, signature } = schema.nodes;
  const long = signature.create(
    null,
    table.create(
      null,
      row.create(
        null,
        cell.create({ colwidth: [400] }, [
          line.create(null, schema.text("short")),
          line.create(null, schema.text("x".repeat(10_000))),
        ]),
      ),
    ),
  );

  it("is a finding that says which parts cost most", () => {
    const [finding] = checkSignature(long, options);
    expect(finding).toMatchObject({ code: "signature-too-long", severity: "break", station: "install" });
    expect(finding!.message).toMatch(
      /^It has 10,\d{3} characters, and common webmail takes 10,000\. Most are in row 1, cell 1, line 2 \(10,011\); /,
    );
  });

  it("has its parts weighed, costliest first", () => {
    const costs = costliestParts(long, options);
    expect(costs.map(({ at }) => at)).toEqual(["row 1, cell 1, line 2", "row 1, cell 1, line 1"]);
    expect(costs[1]!.characters).toBeLessThan(120);
  });
});

it("a blank signature is told that there is nothing in it yet", () => {
  expect(open(blankSignature(1, 2), options).map(({ code }) => code)).toEqual(["signature-empty"]);
});

describe("a font on a piece of text", () => {
  it("that recipients do not have is found where it is, once a line", () => {
    const own = schema.marks.font.create({ font: "Hedge Sans" });
    const { cell, line, row, signature, table, text } = build;
    const document = signature(
      {},
      table(row(cell({ width: [200] }, line(text("A", own), text("b"), text("C", own)), line(text("d"))))),
    );
    expect(open(document, options).map(({ code, at, message }) => [code, at, message])).toEqual([
      [
        "font-not-web-safe",
        "row 1, cell 1, line 1",
        "“Hedge Sans” is not on most machines: recipients will see Arial.",
      ],
    ]);
  });
});
