/** Takes out of a style sheet what the support table says a kind of client drops. */
import type { Atrule, CssNode, List, ListItem } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import walk from "css-tree/walker";
import type { Report } from "../changes";
import { declarationFeatures, supportOf } from "../facts/features";
import type { StandInId } from "../stand-ins";

/** Rules that fetch, or that depend on the screen: `@import` is never followed, `@media` is in the table. */
function dropsRule(rule: Atrule, client: StandInId): boolean {
  const name = rule.name.toLowerCase();
  return name === "import" || (name === "media" && supportOf("css-at-media", client) === "no");
}

/** The sheet without what is dropped. What does not parse is left out, as a browser leaves it out. */
export function filterStyleSheet(css: string, client: StandInId, report: Report): string {
  const sheet = parse(css, { onParseError: () => undefined, parseValue: false });
  walk(sheet, {
    enter(node: CssNode, item: ListItem<CssNode>, list: List<CssNode>) {
      if (node.type === "Atrule" && dropsRule(node, client)) {
        report("element-dropped", `@${node.name}`, "this kind does not read it");
        list.remove(item);
      } else if (node.type === "Declaration") {
        const features = declarationFeatures(node.property.toLowerCase(), generate(node.value));
        if (!features.some((feature) => supportOf(feature, client) === "no")) return;
        report("declaration-dropped", node.property, "this kind does not keep it");
        list.remove(item);
      }
    },
  });
  return generate(sheet);
}
