import { Transform } from "prosemirror-transform";
import { describe, expect, expectTypeOf, it } from "vitest";
import { build, button, divider, image, nodeKinds, setAttributes, type AttributesOf } from ".";

const document = build.signature({}, build.table(build.row(build.cell({ width: [200] }, build.divider()))));
const at = 3;

describe("attributes of a kind", () => {
  it("are read through what describes them, and of no other kind", () => {
    expect(divider.of(build.divider({ thickness: 2 }))).toMatchObject({ thickness: 2, style: "solid" });
    expect(() => divider.of(build.spacer(4))).toThrow("The attributes of a divider are asked of a spacer");
    expect(image.is(build.icon({ source: "/h/x", width: 8, height: 8 }))).toBe(true);
  });

  it("are set where the kind stands, and as described", () => {
    const made = setAttributes(new Transform(document), at, divider, { thickness: 3 }).doc;
    expect(divider.of(made.nodeAt(at)!).thickness).toBe(3);
    expect(() => setAttributes(new Transform(document), at, button, { radius: 3 })).toThrow(
      `No button at position ${at}`,
    );
    expect(() => build.divider({ thickness: 40 })).toThrow("number from 0.5 to 8");
  });

  it("all have a value that holds for their own default", () => {
    for (const [name, { attributes }] of nodeKinds)
      for (const [attribute, { value, ...rest }] of Object.entries(attributes))
        if ("default" in rest)
          expect([name, attribute, value.check(rest.default)]).toEqual([name, attribute, null]);
  });
});

it("a misspelt or wrongly typed attribute does not compile", () => {
  expectTypeOf<AttributesOf<typeof divider.attributes>["style"]>().toEqualTypeOf<
    "solid" | "dashed" | "dotted"
  >();
  const never = (): void => {
    const transform = new Transform(document);
    // @ts-expect-error There is no such attribute.
    setAttributes(transform, at, divider, { thikness: 2 });
    // @ts-expect-error It is a number.
    setAttributes(transform, at, divider, { thickness: "2" });
    // @ts-expect-error There is no such style.
    build.divider({ style: "wavy" });
    // @ts-expect-error A divider has no radius.
    void divider.of(build.divider()).radius;
  };
  expect(never).toBeTypeOf("function");
});
