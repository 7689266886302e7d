/** Changing the colours in a style sheet. */
import type { CssNode } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import walk from "css-tree/walker";
import { mapColors } from "../../html";

/** The sheet with each colour as `change` answers for it and its property; null leaves one as it is written. */
export function mapSheetColors(
  css: string,
  change: (property: string, color: string) => string | null,
): string {
  const sheet = parse(css, { onParseError: () => undefined, parseValue: false });
  walk(sheet, (node: CssNode) => {
    if (node.type !== "Declaration") return;
    const property = node.property.toLowerCase();
    const value = mapColors(generate(node.value), (color) => change(property, color));
    node.value = { type: "Raw", value };
  });
  return generate(sheet);
}
