import { Transform } from "prosemirror-transform";
import { expect, it } from "vitest";
import { build } from "../builder";
import { cell } from "../kinds/cell-attributes";
import { schema } from "../schema";
import { settingsOf } from "../settings";
import { setDirection } from "./direction";

const edge = { width: 1, style: "solid", color: "#3F5B2E" } as const;

it("turning a signature round changes the sides of padding, borders and alignment, and turning it back gives it back", () => {
  const line = schema.nodes.line.create({ align: "left" }, schema.text("Seeds"));
  const document = build.signature(
    {},
    build.table(
      build.row(
        build.cell({ width: [100], padding: { right: 12, top: 3 }, border: { right: edge } }, line),
        build.cell({ width: [200], align: "right" }, build.line(build.text("Store"))),
      ),
    ),
  );
  const turned = setDirection(new Transform(document), "rtl").doc;
  expect(settingsOf(turned).direction).toBe("rtl");
  const [first, second] = turned.firstChild!.firstChild!.children;
  expect(cell.of(first!)).toMatchObject({
    padding: { top: 3, right: 0, bottom: 0, left: 12 },
    border: { top: null, right: null, bottom: null, left: edge },
    align: null,
  });
  expect(first!.firstChild!.attrs.align).toBe("right");
  expect(cell.of(second!).align).toBe("left");
  expect(setDirection(new Transform(turned), "ltr").doc.eq(document)).toBe(true);
  expect(setDirection(new Transform(document), "ltr").steps).toEqual([]);
});
