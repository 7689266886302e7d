import fc from "fast-check";
import { Fragment, type Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { blankSignature } from "../create";
import { becomeDocument } from "../edits/become";
import { insertBand } from "../edits/rearrange";
import { outerTable } from "../outer-table";
import { schema } from "../schema";
import { parseSignature } from "../validate";
import { alignChildren } from "./align";
import { mergeSignatures } from "./merge";

interface Json {
  type: string;
  attrs?: Record<string, unknown>;
  content?: Json[];
  text?: string;
}

const [rows, columns] = [3, 2];

/** Two lines in each cell, none like another. */
function base(): Node {
  const json = blankSignature(rows, columns).toJSON() as Json;
  json.content?.[0]?.content?.forEach((row, y) =>
    row.content?.forEach((cell, x) => {
      cell.content = ["Seeds", "Phone"].map((word) => ({
        type: "line",
        content: [{ type: "text", text: `${word} of ${y} and ${x}` }],
      }));
    }),
  );
  return parseSignature(json);
}

/** One thing that somebody changes; `place` says what of it no other edit may touch. */
interface Edit {
  readonly place: string;
  readonly make: (json: Json) => void;
}

const cellOf = (json: Json, row: number, column: number): Json => {
  const cell = json.content?.[0]?.content?.[row]?.content?.[column];
  if (!cell) throw new RangeError(`No cell at row ${row}, column ${column}`);
  return cell;
};

const where = { row: fc.nat(rows - 1), column: fc.nat(columns - 1) };
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc
    .record({ ...where, line: fc.nat(1), text: fc.stringMatching(/^[a-z]{1,8}$/) })
    .map(({ row, column, line, text }) => ({
      place: `line ${row} ${column} ${line}`,
      make: (json: Json) => {
        const found = cellOf(json, row, column).content?.[line];
        if (found) found.content = [{ type: "text", text: `${found.content?.[0]?.text} ${text}` }];
      },
    })),
  fc
    .record({
      ...where,
      side: fc.constantFrom("top", "right", "bottom", "left"),
      px: fc.integer({ min: 1, max: 60 }),
    })
    .map(({ row, column, side, px }) => ({
      place: `padding ${row} ${column} ${side}`,
      make: (json: Json) => {
        const cell = cellOf(json, row, column);
        const padding = (cell.attrs?.padding ?? {}) as Record<string, unknown>;
        cell.attrs = { ...cell.attrs, padding: { ...padding, [side]: px } };
      },
    })),
  fc.record({ ...where, height: fc.integer({ min: 1, max: 40 }) }).map(({ row, column, height }) => ({
    place: `end of ${row} ${column}`,
    make: (json: Json) => {
      cellOf(json, row, column).content?.push({ type: "spacer", attrs: { height } });
    },
  })),
  fc.integer({ min: 8, max: 30 }).map((size) => ({
    place: "size",
    make: (json: Json) => {
      json.attrs = { ...json.attrs, size };
    },
  })),
);

function edited(document: Node, edits: readonly Edit[]): Node {
  const json = JSON.parse(JSON.stringify(document.toJSON())) as Json;
  edits.forEach(({ make }) => make(json));
  return parseSignature(json);
}

/** Two people's edits, none of which touches what another does. */
const apart = fc
  .uniqueArray(edit, { selector: ({ place }) => place, maxLength: 10 })
  .chain((all) => fc.nat(all.length).map((cut) => [all.slice(0, cut), all.slice(cut)] as const));

/** With an empty column between the two. */
const withColumn = (document: Node): Node =>
  document.copy(Fragment.from(insertBand(outerTable(document), "column", 1)));

const merged = (...three: [Node, Node, Node]): Node => {
  const result = mergeSignatures(...three);
  if (result.kind !== "merged") throw new Error("They overlap");
  return result.document;
};

describe("two documents made from one", () => {
  it("merge to what both edits make, whichever comes first", () => {
    fc.assert(
      fc.property(apart, ([one, other]) => {
        const [mine, theirs] = [edited(base(), one), edited(base(), other)];
        const both = merged(base(), mine, theirs);
        expect(both.toJSON()).toEqual(edited(base(), [...one, ...other]).toJSON());
        expect(merged(base(), theirs, mine).eq(both)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it("never throw, are symmetrical, and are valid whatever was done to them", () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 6 }), fc.array(edit, { maxLength: 6 }), (one, other) => {
        const [mine, theirs] = [edited(base(), one), edited(base(), other)];
        const [first, second] = [
          mergeSignatures(base(), mine, theirs),
          mergeSignatures(base(), theirs, mine),
        ];
        expect(first.kind).toBe(second.kind);
        if (first.kind === "merged" && second.kind === "merged") {
          expect(first.document.eq(second.document)).toBe(true);
          parseSignature(first.document.toJSON());
        }
      }),
      { numRuns: 300 },
    );
  });

  it("merge a new column with words that were changed beside it", () => {
    const start = base();
    const mine = withColumn(start);
    const theirs = edited(start, [
      {
        place: "",
        make: (json) =>
          void (cellOf(json, 2, 1).content = [{ type: "line", content: [{ type: "text", text: "New" }] }]),
      },
    ]);
    const both = merged(start, mine, theirs);
    expect(both.firstChild?.child(2).childCount).toBe(3);
    expect(both.firstChild?.child(2).child(2).textContent).toBe("New");
  });

  it("overlap where both changed one line, one attribute or one place, each in its own way", () => {
    const line = (text: string): Edit => ({
      place: "",
      make: (json) =>
        void (cellOf(json, 0, 0).content = [{ type: "line", content: [{ type: "text", text }] }]),
    });
    const size = (px: number): Edit => ({
      place: "",
      make: (json) => void (json.attrs = { ...json.attrs, size: px }),
    });
    const spacer = (height: number): Edit => ({
      place: "",
      make: (json) => void cellOf(json, 0, 0).content?.push({ type: "spacer", attrs: { height } }),
    });
    const pair = (one: Edit, other: Edit) =>
      mergeSignatures(base(), edited(base(), [one]), edited(base(), [other]));
    expect(pair(line("Mine"), line("Theirs"))).toEqual({ kind: "overlap" });
    expect(pair(size(12), size(14))).toEqual({ kind: "overlap" });
    expect(pair(spacer(4), spacer(6))).toEqual({ kind: "overlap" });
    // The same change on both sides is one change.
    expect(pair(size(12), size(12)).kind).toBe("merged");
    expect(
      merged(base(), edited(base(), [spacer(4)]), edited(base(), [spacer(4)])).eq(
        edited(base(), [spacer(4)]),
      ),
    ).toBe(true);
  });

  it("overlap where one took away what the other changed", () => {
    const gone = edited(base(), [
      { place: "", make: (json) => void cellOf(json, 1, 1).content?.splice(0, 1) },
    ]);
    const changed = edited(base(), [
      {
        place: "",
        make: (json) =>
          void (cellOf(json, 1, 1).content![0]!.content = [{ type: "text", text: "Seeds of spring" }]),
      },
    ]);
    expect(mergeSignatures(base(), gone, changed)).toEqual({ kind: "overlap" });
    expect(mergeSignatures(base(), changed, gone)).toEqual({ kind: "overlap" });
  });
});

describe("children", () => {
  it("are paired with what they became, and what came stands by itself", () => {
    const line = (text: string): Node => schema.nodes.line.create(null, schema.text(text));
    const cell = (...texts: string[]): Node => schema.nodes.cell.create(null, texts.map(line));
    expect(alignChildren(cell("Seeds", "Phone 1"), cell("New", "Seeds", "Phone 12"))).toEqual([
      { before: null, after: 0 },
      { before: 0, after: 1 },
      { before: 1, after: 2 },
    ]);
  });
});

describe("a document becomes another", () => {
  it("exactly, whatever lies between them", () => {
    fc.assert(
      fc.property(
        fc.array(edit, { maxLength: 8 }),
        fc.array(edit, { maxLength: 8 }),
        fc.boolean(),
        (one, other, wider) => {
          const from = edited(base(), one);
          const target = wider ? withColumn(edited(base(), other)) : edited(base(), other);
          expect(becomeDocument(new Transform(from), target).doc.toJSON()).toEqual(target.toJSON());
        },
      ),
      { numRuns: 300 },
    );
  });

  it("with no step where it is that already, and with one letter's step for one letter", () => {
    expect(becomeDocument(new Transform(base()), base()).steps).toEqual([]);
    const one = edited(base(), [
      {
        place: "",
        make: (json) =>
          void (cellOf(json, 0, 0).content![0]!.content = [{ type: "text", text: "Seeeds of 0 and 0" }]),
      },
    ]);
    const { steps } = becomeDocument(new Transform(base()), one);
    expect(steps).toHaveLength(1);
    expect(steps[0]?.toJSON()).toMatchObject({
      stepType: "replace",
      slice: { content: [{ type: "text", text: "e" }] },
    });
  });
});
