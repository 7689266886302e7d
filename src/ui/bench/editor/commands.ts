/** What the Bench's tools do to the editor state. */
import { toggleMark } from "prosemirror-commands";
import type { Mark, MarkType, Node } from "prosemirror-model";
import {
  NodeSelection,
  TextSelection,
  type Command,
  type EditorState,
  type Transaction,
} from "prosemirror-state";
import type { Person } from "@/core/people";
import {
  attributesIn,
  button,
  clearStyling,
  leadingKind,
  link,
  personField,
  schema,
  setUnderline,
  settingsIn,
  settingsOf,
  textLook,
  textLookIn,
  type LinkAttributes,
  type SharedLook,
  type TextRange,
} from "@/core/signature";
import type { Placed } from "./selection";

/** What a selection covers. */
const rangesOf = ({ selection }: EditorState): readonly TextRange[] =>
  selection.ranges.map(({ $from, $to }) => ({ from: $from.pos, to: $to.pos }));

/** The marks that text typed at the cursor would have. */
const marksAtCursor = ({ selection, storedMarks }: EditorState): readonly Mark[] =>
  storedMarks ?? selection.$from.marks();

/**
 * How the text that is selected looks, whether it is a few words, a line, a part or a block of cells; where none is,
 * how what is typed next will.
 */
export function textState(state: EditorState, person: Person | null = null): SharedLook {
  const selected = state.selection.empty ? null : textLookIn(state.doc, rangesOf(state), person);
  const there = settingsIn(state.selection.$from.parent, settingsOf(state.doc));
  return selected ?? textLook(marksAtCursor(state), there);
}

/** The first link in the text that is selected, or the one that the cursor is in; null where there is none. */
export function linkMarkAt(state: EditorState): LinkAttributes | null {
  const range = linkRange(state);
  let found: LinkAttributes | null = null;
  if (range)
    state.doc.nodesBetween(range.from, range.to, (node) => {
      found ??= attributesIn(link, node.marks);
      return found === null;
    });
  return found;
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

/** Text as the signature has it: what is selected, or what is typed next; links go on leading where they lead. */
export const takeStylingOff: Command = (state, dispatch) => {
  const { tr, selection } = state;
  if (selection.empty) {
    const kept = marksAtCursor(state).filter(link.is);
    if (kept.length === marksAtCursor(state).length) return false;
    dispatch?.(tr.setStoredMarks(kept));
    return true;
  }
  clearStyling(tr, rangesOf(state));
  if (!tr.docChanged) return false;
  dispatch?.(tr);
  return true;
};

/** Puts a mark on all that is selected, and takes it off where all of it has it. */
export const toggle = (type: MarkType): Command => toggleMark(type, null, { removeWhenPresent: false });

/** Underlines all that is selected, links by what they say of themselves; not, where all of it is underlined. */
export const toggleUnderline: Command = (state, dispatch) => {
  const range = state.selection.empty ? linkRange(state) : null;
  const ranges = state.selection.empty ? range && [range] : rangesOf(state);
  if (!ranges) return toggle(schema.marks.underline)(state, dispatch);
  const look = textLookIn(state.doc, ranges);
  if (!look) return false;
  const tr = setUnderline(state.tr, ranges, look.underline !== true);
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

/** Whether links, fields that can lead somewhere, or the words of a button are selected: their colour is not the text's. */
function mayLead(state: EditorState): boolean {
  if (linkMarkAt(state) || button.is(state.selection.$from.parent)) return true;
  let found = false;
  for (const { from, to } of rangesOf(state))
    state.doc.nodesBetween(from, to, (node) => {
      found ||= personField.is(node);
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
  const needless = own === value && !(name === "color" && mayLead(state));
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
  // The sample words of a button are there to be typed over.
  const words = first.type.name === "button" ? first.content.size : 0;
  const selection = first.isTextblock
    ? TextSelection.create(tr.doc, place.from + 1, place.from + 1 + words)
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
