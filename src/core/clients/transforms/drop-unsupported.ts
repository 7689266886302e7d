/** Takes out of inline styles and attributes whatever the support table says a kind of client drops. */
import {
  parseDeclarations,
  declarationText,
  type Declaration,
  attributeOf,
  removeAttribute,
  setAttribute,
  type Element,
} from "../../html";
import type { Report } from "../changes";
import { attributeFeature, declarationFeatures, supportOf } from "../facts/features";
import type { StandInId } from "../stand-ins";

/**
 * One kind's own rule on a declaration: a reason to drop it, a value that it is kept with whatever the table
 * says, or null to leave it to the table.
 */
export type DeclarationRule = (
  declaration: Declaration,
  element: Element,
  report: Report,
) => { readonly drop: string } | { readonly value: string } | null;

export function dropUnsupported(
  element: Element,
  client: StandInId,
  rule: DeclarationRule,
  report: Report,
): void {
  for (const { name } of [...element.attrs]) {
    const feature = attributeFeature(name);
    if (feature && supportOf(feature, client) === "no") {
      report("attribute-dropped", name, "this kind does not keep it");
      removeAttribute(element, name);
    }
  }
  const style = attributeOf(element, "style");
  if (style === null) return;
  const kept: Declaration[] = [];
  for (const declaration of parseDeclarations(style)) {
    const own = rule(declaration, element, report);
    const unsupported =
      !own &&
      declarationFeatures(declaration.property, declaration.value).some(
        (feature) => supportOf(feature, client) === "no",
      );
    if (own && "drop" in own) report("declaration-dropped", declaration.property, own.drop);
    else if (unsupported) report("declaration-dropped", declaration.property, "this kind does not keep it");
    else kept.push(own ? { ...declaration, value: own.value } : declaration);
  }
  if (kept.length > 0) setAttribute(element, "style", declarationText(kept));
  else removeAttribute(element, "style");
}
