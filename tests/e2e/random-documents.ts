/** Documents of every kind of part, made at random from a seed, for holding what the sheet shows against what is sent. */
import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { parseSignature } from "@/core/signature";

type Json = Readonly<Record<string, unknown>>;

const px = (min: number, max: number) => fc.integer({ min, max });
const most = <T>(usual: T, rest: fc.Arbitrary<T>, weight = 3): fc.Arbitrary<T> =>
  fc.oneof({ arbitrary: fc.constant(usual), weight }, { arbitrary: rest, weight: 1 });

/** Words are told apart by their numbers, which are given once the document stands. */
const word = fc.constantFrom("@", "@ink", "@seedlibrary");
const words = (gap: fc.Arbitrary<string>) =>
  fc
    .array(fc.tuple(word, gap), { minLength: 1, maxLength: 4 })
    .map((all) => all.map(([said, space]) => said + space).join(""));

const marks = fc
  .record({
    size: most<number | null>(null, px(9, 26)),
    font: most<string | null>(null, fc.constantFrom("Georgia", "Times New Roman", "Verdana")),
    bold: fc.boolean(),
    script: most<string | null>(null, fc.constantFrom("superscript", "subscript"), 8),
    link: most(false, fc.constant(true), 5),
  })
  .map(({ size, font, bold, script, link }): readonly Json[] => [
    ...(link ? [{ type: "link", attrs: { href: "https://harrowfen.example/" } }] : []),
    ...(size ? [{ type: "size", attrs: { size } }] : []),
    ...(font ? [{ type: "font", attrs: { font } }] : []),
    ...(bold ? [{ type: "bold" }] : []),
    ...(script ? [{ type: script }] : []),
  ]);

const run = (gap: fc.Arbitrary<string>): fc.Arbitrary<Json> =>
  fc.record({ type: fc.constant("text"), text: words(gap), marks });

/** A line that holds runs of spaces, as the sheet keeps them. */
const spaced: fc.Arbitrary<Json> = fc.record({
  type: fc.constant("line"),
  content: fc.array(run(fc.constantFrom(" ", "\u00a0 ", "\u00a0\u00a0 ")), { minLength: 1, maxLength: 2 }),
});
const image = (source: string, widest: number) =>
  fc.record({ width: px(8, widest), height: px(8, 60) }).map((size) => ({ source, alt: "Reed", ...size }));

const inline = (source: string): fc.Arbitrary<Json> =>
  fc.oneof(
    { arbitrary: run(fc.constant(" ")), weight: 8 },
    { arbitrary: fc.constant({ type: "break" }), weight: 1 },
    {
      arbitrary: image(source, 24).map((attrs) => ({
        type: "inlinePicture",
        attrs: { ...attrs, height: 14 },
      })),
      weight: 1,
    },
  );

const block = (source: string): fc.Arbitrary<Json> =>
  fc.oneof(
    {
      weight: 8,
      arbitrary: fc.record({
        type: fc.constant("line"),
        attrs: fc.record({
          align: most<string | null>(null, fc.constantFrom("center", "right")),
          lineHeight: most<number | null>(null, fc.constantFrom(1.15, 1.2, 1.75)),
        }),
        content: fc.array(inline(source), { maxLength: 3 }),
      }),
    },
    { weight: 2, arbitrary: spaced },
    { weight: 1, arbitrary: px(1, 20).map((height) => ({ type: "spacer", attrs: { height } })) },
    {
      weight: 1,
      arbitrary: fc
        .record({ thickness: fc.constantFrom(0.5, 1, 2, 3), style: fc.constantFrom("solid", "dotted") })
        .map((attrs) => ({ type: "divider", attrs })),
    },
    { weight: 1, arbitrary: image(source, 120).map((attrs) => ({ type: "picture", attrs })) },
    {
      weight: 1,
      arbitrary: fc.record({
        type: fc.constant("iconRow"),
        attrs: fc.record({ size: px(12, 32), gap: px(0, 12), columns: fc.constantFrom(0, 2) }),
        content: fc.array(
          image(source, 40).map((attrs) => ({ type: "inlinePicture", attrs })),
          { minLength: 1, maxLength: 4 },
        ),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        type: fc.constant("button"),
        attrs: fc.record({ width: px(60, 260), paddingVertical: px(0, 12) }),
        content: fc.array(
          fc.record({
            type: fc.constant("text"),
            text: fc.constant("@call"),
            marks: most<readonly Json[]>(
              [],
              px(9, 22).map((size) => [{ type: "size", attrs: { size } }]),
            ),
          }),
          { minLength: 1, maxLength: 1 },
        ),
      }),
    },
  );

const side = most<Json | null>(
  null,
  fc.constantFrom(0.5, 1, 2, 5, 8).map((width) => ({ width, style: "solid", color: "#3F5B2E" })),
);
const sides = <T>(value: fc.Arbitrary<T>) =>
  fc.record({ top: value, right: value, bottom: value, left: value });

function table(source: string, widths: readonly number[], rows: number, nested: boolean): fc.Arbitrary<Json> {
  const content = nested
    ? fc.array(block(source), { minLength: 1, maxLength: 2 })
    : fc.oneof(
        { arbitrary: fc.array(block(source), { minLength: 1, maxLength: 3 }), weight: 8 },
        {
          arbitrary: fc
            .tuple(fc.array(px(40, 120), { minLength: 1, maxLength: 2 }), px(1, 2))
            .chain(([columns, count]) => table(source, columns, count, true))
            .map((held) => [held]),
          weight: 1,
        },
      );
  const cell = (width: number) =>
    fc.record({
      type: fc.constant("cell"),
      attrs: fc.record({
        colwidth: fc.constant([width]),
        padding: sides(most(0, px(1, 20), 2)),
        border: sides(side),
        align: most<string | null>(null, fc.constantFrom("center", "right")),
        verticalAlign: fc.constantFrom("top", "middle", "bottom"),
      }),
      content,
    });
  const row = fc.record({
    type: fc.constant("row"),
    attrs: fc.record({ height: most<number | null>(null, px(4, 90), 5) }),
    content: fc.tuple(...widths.map(cell)),
  });
  return fc.record({
    type: fc.constant("table"),
    content: fc.array(row, { minLength: rows, maxLength: rows }),
  });
}

const documents = (source: string): fc.Arbitrary<Json> =>
  fc.tuple(fc.array(px(60, 220), { minLength: 1, maxLength: 3 }), px(1, 3)).chain(([widths, rows]) =>
    fc.record({
      type: fc.constant("signature"),
      attrs: fc.record({
        font: fc.constantFrom("Arial", "Georgia", "Verdana"),
        size: px(11, 16),
        lineHeight: fc.constantFrom(1.2, 1.4, 1.5),
      }),
      content: table(source, widths, rows, false).map((outer) => [outer]),
    }),
  );

/** Every word with a number of its own, so that it is found again wherever it is drawn. */
function numbered(document: Json): Json {
  let count = 0;
  return JSON.parse(JSON.stringify(document).replace(/@/g, () => `w${count++}`)) as Json;
}

/** So many valid documents, the same ones for the same seed. `source` is the address of a picture that is there. */
export const randomDocuments = (count: number, seed: number, source: string): readonly Node[] =>
  fc.sample(documents(source), { numRuns: count, seed }).map((json) => parseSignature(numbered(json)));

/**
 * Whether every line is all of one type. In quirks mode a line on which only smaller type has come to stand is as high
 * as that type (WHATWG Quirks Mode, section 3.3), and nothing that may be sent makes it higher.
 */
export function isPlain(document: Node): boolean {
  let plain = true;
  document.descendants((node) => {
    if (!node.isTextblock || node.type.name === "iconRow") return true;
    const types = node.children.map((child) =>
      child.isText ? child.marks.map(({ type, attrs }) => `${type.name} ${attrs.size} ${attrs.font}`) : null,
    );
    const told = types.map(
      (marks) => marks?.filter((mark) => /^(size|font|su[bp])/.test(mark)).join() ?? "no text",
    );
    if (new Set(told).size > 1 || told.includes("no text") || told.some((mark) => /script/.test(mark)))
      plain = false;
    return false;
  });
  return plain;
}
