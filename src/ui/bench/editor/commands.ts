/** What the Bench's tools do to the editor state. */
import type { Mark, MarkType, Node } from "prosemirror-model";
import {
  NodeSelection,
  TextSelection,
  type Command,
  type EditorState,
  type Transaction,
} from "prosemirror-state";
import {
  attributesIn,
  font,
  highlight,
  leadingKind,
  letterSpacing,
  link,
  schema,
  settingsOf,
  size,
  textColor,
} from "@/core/signature";

import type { Placed } from "./selection";

/** The marks at the cursor, or at the start of what is selected. */
export function marksAtSelection(state: EditorState): readonly Mark[] {
  const { selection, storedMarks } = state;
  if (storedMarks) return storedMarks;
  if (selection instanceof NodeSelection) return selection.node.marks;
  const range = selection.ranges[0]!;
  if (selection.empty) return range.$from.marks();
  let found: readonly Mark[] | null = null;
  state.doc.nodesBetween(range.$from.pos, range.$to.pos, (node) => {
    if (node.isInline) found ??= node.marks;
  });
  return found ?? range.$from.marks();
}

export interface TextState {
  readonly bold: boolean;
  readonly italic: boolean;
  readonly underline: boolean;
  readonly color: string;
  readonly size: number;
  readonly font: string;
  readonly letterSpacing: number;
  readonly upperCase: boolean;
  readonly strikethrough: boolean;
  readonly superscript: boolean;
  readonly subscript: boolean;
  /** The colour behind it; null for none. */
  readonly highlight: string | null;
  readonly link: string | null;
}

export function textState(state: EditorState): TextState {
  const settings = settingsOf(state.doc);
  const marks = marksAtSelection(state);
  const has = (name: string): boolean => marks.some((mark) => mark.type.name === name);
  const href = attributesIn(link, marks)?.href ?? null;
  return {
    bold: has("bold"),
    italic: has("italic"),
    underline: has("underline"),
    color: attributesIn(textColor, marks)?.color ?? (href === null ? settings.textColor : settings.linkColor),
    size: attributesIn(size, marks)?.size ?? settings.size,
    font: attributesIn(font, marks)?.font ?? settings.font,
    letterSpacing: attributesIn(letterSpacing, marks)?.spacing ?? 0,
    upperCase: has("upperCase"),
    strikethrough: has("strikethrough"),
    superscript: has("superscript"),
    subscript: has("subscript"),
    highlight: attributesIn(highlight, marks)?.color ?? null,
    link: href,
  };
}

/** Sets a mark over what is selected, or for what is typed next; null takes it away. */
export function setMark(
  state: EditorState,
  type: MarkType,
  attributes: Record<string, unknown> | null,
): Transaction {
  const { tr, selection } = state;
  const mark = attributes && type.create(attributes);
  if (selection.empty) {
    if (mark) tr.addStoredMark(mark);
    else tr.removeStoredMark(type);
    return tr;
  }
  for (const { $from, $to } of selection.ranges) {
    if (mark) tr.addMark($from.pos, $to.pos, mark);
    else tr.removeMark($from.pos, $to.pos, type);
  }
  return tr;
}

/** A colour behind what is selected; null takes it away. */
export const setHighlight = (state: EditorState, color: string | null): Transaction =>
  setMark(state, schema.marks.highlight, color === null ? null : { color });

/** Text as the signature has it: everything but links is taken off what is selected. */
export const clearStyling: Command = (state, dispatch) => {
  const { tr, selection } = state;
  for (const { $from, $to } of selection.ranges)
    for (const type of Object.values(schema.marks))
      if (type !== schema.marks.link) tr.removeMark($from.pos, $to.pos, type);
  if (!tr.docChanged) return false;
  dispatch?.(tr);
  return true;
};

/** Space after each letter in px; none needs no mark. */
export const setLetterSpacing = (state: EditorState, spacing: number): Transaction =>
  setMark(state, schema.marks.letterSpacing, spacing === 0 ? null : { spacing });

/** The lines of text that the selection reaches. */
export function selectedLines(state: EditorState): readonly { position: number; node: Node }[] {
  const found: { position: number; node: Node }[] = [];
  for (const { $from, $to } of state.selection.ranges)
    state.doc.nodesBetween($from.pos, $to.pos, (node, position) => {
      if (node.type.name === "line") found.push({ position, node });
    });
  return found;
}

/** A mark whose value is the signature's own needs no mark. */
export function setTextValue(
  state: EditorState,
  name: "color" | "size" | "font",
  value: string | number,
): Transaction {
  const settings = settingsOf(state.doc);
  const own = { color: settings.textColor, size: settings.size, font: settings.font }[name];
  const needless = own === value && !(name === "color" && textState(state).link);
  return setMark(state, schema.marks[name], needless ? null : { [name]: value });
}

/** The extent of the link around the cursor, or what is selected; null when there is nothing to link. */
export function linkRange(state: EditorState): { from: number; to: number } | null {
  const { selection } = state;
  if (!selection.empty) return { from: selection.from, to: selection.to };
  const { $from } = selection;
  const link = $from.marks().find(({ type }) => type.name === "link");
  if (!link) return null;
  let from = $from.start();
  let to = from;
  let found: { from: number; to: number } | null = null;
  $from.parent.forEach((child) => {
    const linked = link.isInSet(child.marks);
    if (!linked) from = to + child.nodeSize;
    to += child.nodeSize;
    if (linked && from <= $from.pos && to >= $from.pos) found = { from, to };
  });
  return found;
}

/** The part that leads somewhere as a whole: a picture that is selected, or the button that is, or whose words are. */
export function leadingAt({ selection }: EditorState): Placed | null {
  if (selection instanceof NodeSelection && leadingKind(selection.node))
    return { position: selection.from, node: selection.node };
  const { $from } = selection;
  for (let depth = $from.sharedDepth(selection.to); depth > 0; depth--)
    if (leadingKind($from.node(depth))) return { position: $from.before(depth), node: $from.node(depth) };
  return null;
}

/** Null where nothing is selected that can lead anywhere; a step is made wherever one is answered. */
export function setLink(state: EditorState, href: string | null): Transaction | null {
  const { tr } = state;
  const leading = leadingAt(state);
  if (leading) return tr.setNodeAttribute(leading.position, "link", href);
  const range = linkRange(state);
  if (!range) return null;
  const type = schema.marks.link;
  tr.removeMark(range.from, range.to, type);
  if (href) tr.addMark(range.from, range.to, type.create({ href }));
  return tr.docChanged ? tr : null;
}

/** Where a block goes: in place of an empty line, or after the block that the selection is in. */
function blockPlace(state: EditorState): { from: number; to: number } | null {
  const { $from, $to } = state.selection;
  for (let depth = $from.depth; depth > 0; depth--) {
    if ($from.node(depth).type.name !== "cell") continue;
    if (depth === $from.depth) return { from: $to.pos, to: $to.pos };
    const block = $from.node(depth + 1);
    const emptyLine = block.type.name === "line" && block.childCount === 0;
    return emptyLine
      ? { from: $from.before(depth + 1), to: $from.after(depth + 1) }
      : { from: $from.after(depth + 1), to: $from.after(depth + 1) };
  }
  return null;
}

/** Puts blocks into the cell that the selection is in, one after the other; null when it is in none. */
export function insertBlocks(state: EditorState, blocks: readonly Node[]): Transaction | null {
  const place = blockPlace(state);
  const [first] = blocks;
  if (!place || !first) return null;
  const tr = state.tr.replaceWith(place.from, place.to, blocks);
  const selection = first.isTextblock
    ? TextSelection.create(tr.doc, place.from + 1)
    : NodeSelection.create(tr.doc, place.from);
  return tr.setSelection(selection).scrollIntoView();
}

/** Puts a block into the cell that the selection is in; null when it is in none. */
export const insertBlock = (state: EditorState, block: Node): Transaction | null =>
  insertBlocks(state, [block]);

/** Puts something inline at the cursor, or into a new line where the selection is not in text. */
export function insertInline(state: EditorState, node: Node): Transaction | null {
  if (state.selection.$from.parent.inlineContent)
    return state.tr.replaceSelectionWith(node, true).scrollIntoView();
  return insertBlock(state, schema.nodes.line.create(null, node));
}
