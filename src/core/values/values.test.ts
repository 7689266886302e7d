import { describe, expect, expectTypeOf, it } from "vitest";
import {
  append,
  choice,
  color,
  complaintOf,
  count,
  flag,
  largest,
  list,
  maybe,
  nameOf,
  numberIn,
  object,
  optional,
  px,
  smallest,
  tagged,
  text,
  words,
  type TypeOf,
} from ".";

const frame = tagged("shape", { rounded: { radius: px(0, 60) }, circle: {} });
const plate = object(
  { color, margin: px(0, 200, 0.5), line: optional(px(1, 8)), note: maybe(text(5)) },
  "a plate",
);

describe("extremes", () => {
  it("are found of more numbers than a call takes arguments, and of none", () => {
    const many = Array.from({ length: 300_000 }, (_unused, index) => index - 5);
    expect([largest(many), smallest(many), largest([]), smallest([], 7), largest([3], 9)]).toEqual([
      299_994,
      -5,
      -Infinity,
      7,
      9,
    ]);
    const list: number[] = [];
    append(list, many);
    expect(list).toHaveLength(300_000);
  });
});

describe("a name", () => {
  const name = nameOf("A signature's name", 5, "A signature needs a name.");

  it.each([
    ["Press", null],
    ["مكتب", null],
    ["  ", "A signature needs a name."],
    ["Presses", "A signature's name has at most 5 characters."],
    ["a\nb", "A signature's name stands on one line."],
    ["a\u0000b", "A signature's name has no control characters."],
    ["a\u202eb", "A signature's name has no characters that turn the direction of writing."],
  ])("of %j is told what is wrong with it", (given, complaint) => expect(name.check(given)).toBe(complaint));
});

describe("a number", () => {
  it.each([0.5, 8, 1.5])("%s lies on its grid", (value) => {
    expect(px(0.5, 8, 0.5).check(value)).toBeNull();
  });

  it.each([0, 8.5, 0.7, NaN, Infinity, "1", null])("%s does not", (value) => {
    expect(px(0.5, 8, 0.5).check(value)).toMatch(/^must be a number from 0.5 to 8 in steps of 0.5, not /);
  });

  it("tells a field all that it needs", () => {
    expect(px(1, 400)).toMatchObject({ least: 1, most: 400, step: 1, unit: "px" });
    expect(numberIn(0, 60, 1).unit).toBe("");
  });
});

describe("what has no parts", () => {
  it.each([
    [color, "#3F5B2E", "green"],
    [flag, false, 0],
    [choice("left", "right"), "left", "top"],
    [choice(1, 2, 3), 2, "2"],
    [text(3), "abc", "abcd"],
    [words("A name", 3, "It needs a name."), " a ", "  "],
  ] as const)("%j takes %j and not %j", (value, good, bad) => {
    expect(value.check(good)).toBeNull();
    expect(value.check(bad)).not.toBeNull();
  });

  it("is read as it is kept: words without white space around them", () => {
    expect(words("A name", 10).read(" Press desk ")).toBe("Press desk");
    expect(color.read("#3F5B2E")).toBe("#3F5B2E");
  });
});

describe("what has parts", () => {
  const good = { color: "#FFFFFF", margin: 8, line: null };

  it("names the part that is wrong, missing or not known", () => {
    expect(plate.check(good)).toBeNull();
    expect(plate.check({ ...good, note: "thin" })).toBeNull();
    expect(plate.check({ ...good, margin: 201 })).toMatch(/^margin must be a number from 0 to 200/);
    expect(plate.check({ ...good, line: 9 })).toMatch(/^line must be/);
    expect(plate.check({ color: "#FFFFFF", line: null })).toBe("lacks its part margin");
    expect(plate.check({ ...good, tint: 1 })).toBe('has no part "tint"');
    expect(plate.check([])).toMatch(/^must be a plate with color, margin, line and note/);
  });

  it("is told apart by its tag", () => {
    expect(frame.check({ shape: "rounded", radius: 4 })).toBeNull();
    expect(frame.check({ shape: "circle" })).toBeNull();
    expect(frame.check({ shape: "circle", radius: 4 })).toBe('has no part "radius"');
    expect(frame.check({ shape: "star" })).toBe('shape must be one of rounded, circle, not "star"');
    expect(frame.check({ shape: "toString" })).toMatch(/^shape must be/);
  });

  it("is a list of so many", () => {
    const rows = list(count(1, 6), { least: 1, most: 2, what: "rows" });
    expect(rows.check([1, 6])).toBeNull();
    expect(rows.check([])).toMatch(/^must be a list of 1 to 2 rows/);
    expect(rows.check([1, 7])).toMatch(/^2 must be/);
  });

  it("says a complaint of a part, with the way to it", () => {
    expect(complaintOf("plate", 'has no part "tint"')).toBe('plate has no part "tint"');
    expect(complaintOf("plate", "margin must be 1")).toBe("plate margin must be 1");
  });
});

it("values have the types that they describe", () => {
  expectTypeOf<TypeOf<typeof plate>>().toEqualTypeOf<{
    readonly color: string;
    readonly margin: number;
    readonly line: number | null;
    readonly note?: string | undefined;
  }>();
  type Frame = TypeOf<typeof frame>;
  expectTypeOf<Frame["shape"]>().toEqualTypeOf<"rounded" | "circle">();
  expectTypeOf<Extract<Frame, { shape: "rounded" }>["radius"]>().toEqualTypeOf<number>();
});
