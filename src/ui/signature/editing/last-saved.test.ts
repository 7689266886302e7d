import { expect, it } from "vitest";
import { blankSignature } from "@/core/signature";
import { newestOf, recordSaved } from "./last-saved";

const opened = { id: "a", name: "Press desk", personId: null, document: { type: "old" }, revision: 3 };

it("a page that comes late goes on from what this window has saved, and from nothing older", () => {
  const document = blankSignature(1, 1);
  expect(newestOf(opened)).toBe(opened);
  recordSaved("a", 3, document);
  expect(newestOf(opened)).toBe(opened);
  recordSaved("a", 4, document);
  expect(newestOf(opened)).toEqual({ ...opened, revision: 4, document: document.toJSON() as unknown });
  expect(newestOf({ ...opened, id: "b" }).revision).toBe(3);
});
