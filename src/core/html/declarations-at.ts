/** The declarations of a style attribute with their places in the HTML around it. Offsets count UTF-16 code units. */
import type { CssNode } from "css-tree";
import parse from "css-tree/parser";
import type { Extent, WrittenAttribute } from "./tags";

export interface PlacedDeclaration extends Extent {
  /** In small letters. */
  readonly property: string;
  /** As it is written, without its mark. */
  readonly value: string;
  /** Where the value stands. */
  readonly valueAt: Extent;
}

export interface PlacedDeclarations {
  readonly declarations: readonly PlacedDeclaration[];
  /** What is no declaration, so that it counts for nothing. */
  readonly unread: readonly Extent[];
}

/** Character references that styles are written with, as so many letters as they have: places stay what they are. */
const ofSameLength = (text: string): string =>
  text.replace(/&(quot|apos|#39|#34|amp);/g, (reference, name: string) =>
    (name === "amp" ? "&" : name === "quot" || name === "#34" ? '"' : "'").padEnd(reference.length),
  );

/** Reads the style attribute that stands at a place in HTML. Never throws. */
export function readDeclarationsAt(html: string, attribute: WrittenAttribute): PlacedDeclarations {
  const written = html.slice(attribute.from, attribute.to);
  const equals = written.indexOf("=");
  if (equals < 0) return { declarations: [], unread: [] };
  let from = equals + 1;
  while (/\s/.test(written.charAt(from))) from += 1;
  const quoted = /["']/.test(written.charAt(from));
  const start = attribute.from + from + (quoted ? 1 : 0);
  const text = ofSameLength(html.slice(start, attribute.to - (quoted ? 1 : 0)));
  const declarations: PlacedDeclaration[] = [];
  const unread: Extent[] = [];
  const list = parse(text, {
    context: "declarationList",
    parseValue: false,
    positions: true,
    onParseError: () => undefined,
  });
  if (list.type !== "DeclarationList") return { declarations, unread };
  const extent = (node: CssNode): Extent => ({
    from: start + (node.loc?.start.offset ?? 0),
    to: start + (node.loc?.end.offset ?? 0),
  });
  list.children.forEach((node: CssNode) => {
    if (node.type !== "Declaration") {
      const { from, to } = extent(node);
      // The semicolon behind it is what ends it.
      const length = html.slice(from, to).replace(/[\s;]+$/, "").length;
      if (length > 0) unread.push({ from, to: from + length });
      return;
    }
    const valueAt = extent(node.value);
    declarations.push({
      ...extent(node),
      property: node.property.toLowerCase(),
      value: text.slice(valueAt.from - start, valueAt.to - start).trim(),
      valueAt,
    });
  });
  return { declarations, unread };
}
