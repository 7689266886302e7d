import { expect, it } from "vitest";
import { build } from "../signature";
import { findPart } from "./index";

const { cell, field, line, picture, row, signature, table, text } = build;
const icon = (alt: string) =>
  picture({ source: "/h/0123456789abcdef0123/i.png", width: 20, height: 20, alt });

const document = signature(
  {},
  table(
    row(cell({ width: [90] }, icon("Plotline"), icon("Hedgepost"))),
    row(cell({ width: [90] }, line(text("Ada "), field("phone")), line(text("open daily")))),
    row(cell({ width: [90] }, line(text("open daily")))),
  ),
);
const part = (id: number, kind: "text" | "picture", said: string) => ({ id, kind, text: said });
const nodeAt = (position: number | null) => (position === null ? null : document.nodeAt(position));

it("a picture is found by its alt text", () => {
  const parts = [part(1, "picture", "Plotline"), part(2, "picture", "Hedgepost")];
  expect(nodeAt(findPart(document, null, parts, 2))?.attrs.alt).toBe("Hedgepost");
});

it("of texts that say the same each has its own place", () => {
  const parts = [part(4, "text", "open daily"), part(6, "text", "Open  daily")];
  const [first, second] = parts.map(({ id }) => findPart(document, null, parts, id)!);
  expect(nodeAt(first!)?.text).toBe("open daily");
  expect(nodeAt(second!)?.text).toBe("open daily");
  expect(second! - first!).toBeGreaterThan(10);
});

it("what a person's field says is found at the field, and a piece of a longer run at the run", () => {
  const person = { phone: "+44 1632 960101" } as Parameters<typeof findPart>[1];
  const parts = [part(1, "text", "+44 1632 960101"), part(2, "text", "daily")];
  expect(nodeAt(findPart(document, person, parts, 1))?.type.name).toBe("personField");
  expect(nodeAt(findPart(document, person, parts, 2))?.text).toBe("open daily");
});

it("what is nowhere in the document has no place", () => {
  expect(findPart(document, null, [part(1, "text", "closed")], 1)).toBeNull();
  expect(findPart(document, null, [], 1)).toBeNull();
});
