/**
 * Gives the sheet the measures that the compiler writes: the width and height of every cell, and the type and height of
 * every line, so that what is seen is what is sent. Px.
 */
import type { Node } from "prosemirror-model";
import { Plugin, TextSelection } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import {
  attributesIn,
  boxWidth,
  font,
  fontStack,
  gapsIn,
  heightOf,
  isEmptyCell,
  row,
  scriptScale,
  setsWidth,
  settingsOf,
  size,
  strutOf,
  subscript,
  superscript,
  tableMap,
  unseenAtEnds,
  type Settings,
  type Strut,
} from "@/core/signature";

/** How far CSS raises superscripts and subscripts with the size around them: a third up, a fifth down. */
const raisedBy = { super: -1 / 3, sub: 1 / 5 } as const;

const cache = new WeakMap<Node, { readonly typedIn: Node | null; readonly drawn: DecorationSet }>();

const styled = (...declarations: readonly (string | false)[]): string =>
  declarations.filter((declaration) => declaration !== false).join(";");

/** Type that says nothing of its own is the signature's, whatever its line stands on. */
function* ownType(holder: Node, position: number, settings: Settings, strut: Strut): Generator<Decoration> {
  if (strut.size === settings.size && strut.font === settings.font) return;
  let at = position + 1;
  for (const child of holder.children) {
    const script = child.marks.some((mark) => superscript.is(mark))
      ? "super"
      : child.marks.some((mark) => subscript.is(mark))
        ? "sub"
        : null;
    const sized = strut.size !== settings.size && !attributesIn(size, child.marks);
    const style = styled(
      sized && `font-size:${settings.size * (script ? scriptScale : 1)}px`,
      // The decoration lies inside what is raised by a part of the line's size, and not of its own.
      sized &&
        script !== null &&
        `vertical-align:${(raisedBy[script] * (strut.size - settings.size)).toFixed(2)}px`,
      strut.font !== settings.font &&
        !attributesIn(font, child.marks) &&
        `font-family:${fontStack(settings.font)}`,
    );
    if (style) yield Decoration.inline(at, at + child.nodeSize, { style });
    at += child.nodeSize;
  }
}

/** What a line ends with and is not seen once it is sent. Where somebody types, the sheet shows it. */
function* unseen(node: Node, position: number): Generator<Decoration> {
  for (const { from, to } of unseenAtEnds(node))
    yield Decoration.inline(position + 1 + from, position + 1 + to, { class: "unseen" });
}

function* lineMeasures(
  node: Node,
  position: number,
  settings: Settings,
  { takesNoRoom, typed }: { readonly takesNoRoom: boolean; readonly typed: boolean },
): Generator<Decoration> {
  const strut = strutOf(node.children, settings);
  const style = styled(
    `line-height:${takesNoRoom ? 1 : heightOf(node, settings)}px`,
    strut.size !== settings.size && `font-size:${strut.size}px`,
    strut.font !== settings.font && `font-family:${fontStack(strut.font)}`,
  );
  yield Decoration.node(position, position + node.nodeSize, { style, ...(typed && { class: "typed-in" }) });
  yield* ownType(node, position, settings, strut);
  yield* unseen(node, position);
}

function* tableMeasures(table: Node, position: number): Generator<Decoration> {
  const map = tableMap(table);
  for (const place of map.places) {
    const from = position + 1 + place.offset;
    const width = boxWidth(map, place);
    const { height } = row.of(table.child(place.row));
    const style = styled(
      setsWidth(map, place) && `width:${width}px`,
      // A gap is sent as a table as wide as the cell, which keeps the cell from being narrower.
      gapsIn(table.child(place.row), place.node) && `min-width:${width}px`,
      height !== null && `height:${height}px`,
    );
    if (style) yield Decoration.node(from, from + place.node.nodeSize, { style });
  }
}

function decorate(document: Node, typedIn: Node | null): DecorationSet {
  const settings = settingsOf(document);
  const found: Decoration[] = [];
  document.descendants((node, position, parent) => {
    if (node.type.name === "table") found.push(...tableMeasures(node, position));
    if (!node.isTextblock || node.type.name === "iconRow") return true;
    const place = document.resolve(position);
    const inRow = place.depth > 1 && row.is(place.node(-1)) ? row.of(place.node(-1)).height : null;
    // In a row with a height of its own an empty cell takes no room.
    const takesNoRoom = inRow !== null && parent !== null && isEmptyCell(parent);
    found.push(...lineMeasures(node, position, settings, { takesNoRoom, typed: node === typedIn }));
    return false;
  });
  return DecorationSet.create(document, found);
}

export const drawnAsSent = new Plugin({
  props: {
    decorations({ doc, selection }) {
      const typedIn = selection instanceof TextSelection ? selection.$head.parent : null;
      const known = cache.get(doc);
      if (known?.typedIn === typedIn) return known.drawn;
      const drawn = decorate(doc, typedIn);
      cache.set(doc, { typedIn, drawn });
      return drawn;
    },
  },
});
