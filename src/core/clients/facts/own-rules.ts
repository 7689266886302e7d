/** Rules on declarations that the tables cannot say, kind by kind, each with its reason. */
import type { StandInId } from "../stand-in";
import type { DeclarationLimit } from "./declaration-limits";

interface OwnRule {
  readonly rule: DeclarationLimit;
  readonly reason: string;
}

const vendor: OwnRule = {
  rule: ({ property }) => (property.startsWith("mso-") ? "dropped" : null),
  reason: "only document engines read it",
};

/** Opacity and notations that came after the third level of CSS colours. */
const plainColors: OwnRule = {
  rule: (_declaration, { colors }) =>
    colors.some(({ notation, spaced, alpha }) => /^hsla?$/.test(notation) && (spaced || alpha))
      ? "dropped"
      : null,
  reason: "colours are read in their oldest notations only",
};

export const ownDeclarationRules: Partial<Readonly<Record<StandInId, readonly OwnRule[]>>> = {
  "webmail-inline": [vendor],
  "desktop-document": [plainColors],
};
