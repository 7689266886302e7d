/** Capitals throughout. The letters themselves are written as capitals, since some clients drop the style for it. */
import type { MarkKind } from "../kind";

export const upperCaseKind: MarkKind = {
  name: "upperCase",
  attributes: {},
  parse: [{ style: "text-transform=uppercase" }],
  draw: () => ["span", { style: "text-transform:uppercase" }, 0],
};
