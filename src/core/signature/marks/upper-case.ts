/** Capitals throughout. The letters themselves are written as capitals, since some clients drop the style for it. */
import { markKind, plainMark } from "../kind";

export const upperCase = plainMark("upperCase");

export const upperCaseKind = markKind({
  name: "upperCase",
  attributes: {},
  parse: [{ style: "text-transform=uppercase" }],
  draw: () => ["span", { style: "text-transform:uppercase" }, 0],
});
