/**
 * Pasting from anywhere through the importer: words go into the line, parts into the cell, and a whole signature that is
 * pasted upon a blank one becomes it. What was copied on a Bench holds nothing that a document could not, and is put in as
 * it is.
 */
import { Fragment, Slice, type Node } from "prosemirror-model";
import { Selection, type EditorState, type Transaction } from "prosemirror-state";
import type * as importing from "@/core/importing";
import type { FindPicture, ImportedParts, ImportNote, MentionedPicture } from "@/core/importing";
import { becomeDocument, innerWidth, settingsOf } from "@/core/signature";
import { insertBlocks } from "./commands";
import { describeSelection } from "./selection";

/** Whether HTML was copied on a Bench. */
export const isOwnCopy = (html: string): boolean => html.includes("data-pm-slice");

/** A table's parts one after the other, for where no table may stand. */
function flattened(table: Node): Node[] {
  const found: Node[] = [];
  table.forEach((row) =>
    row.forEach((cell) =>
      cell.forEach((part) => found.push(...(part.type.name === "table" ? flattened(part) : [part]))),
    ),
  );
  return found;
}

/** The same content with no table deeper than allowed: a table too deep gives its parts instead. */
function fitted(content: Fragment, tables: number): Fragment {
  return Fragment.from(
    content.content.flatMap((node) => {
      if (node.isTextblock || node.isLeaf) return [node];
      if (node.type.name !== "table") return [node.copy(fitted(node.content, tables))];
      return tables === 0 ? flattened(node) : [node.copy(fitted(node.content, tables - 1))];
    }),
  );
}

/** The most tables that may lie around a line: the outer one, and one in a cell of it. */
const deepest = 2;

const tablesAround = ({ $from }: Selection): number => {
  let around = 0;
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.name === "table") around++;
  return around;
};

/** What was copied on a Bench at a selection, with no table deeper than a document holds. */
export const fitToPlace = (slice: Slice, selection: Selection): Slice =>
  new Slice(fitted(slice.content, deepest - tablesAround(selection)), slice.openStart, slice.openEnd);

export interface Pasted {
  readonly tr: Transaction;
  readonly notes: readonly ImportNote[];
  readonly pictures: readonly MentionedPicture[];
  /** Whether the paste became the whole signature. */
  readonly whole: boolean;
}

/** What is loaded when something is pasted. */
export type Importer = typeof importing;

const someRoom = 300;

/** Whether nothing stands in a document yet. */
const isBlank = (document: Node): boolean => {
  let blank = true;
  document.descendants((node) => {
    if (!["table", "row", "cell", "line"].includes(node.type.name)) blank = false;
    return blank;
  });
  return blank;
};

/** Paragraphs that are pasted among others follow each other as lines do; where room stood between them, that is told. */
function withoutParagraphGaps({ nodes, notes, pictures }: ImportedParts): ImportedParts {
  const lines = nodes.filter(({ type }) => type.name !== "spacer");
  const onlyLines = lines.length > 0 && lines.every(({ type }) => type.name === "line");
  if (!onlyLines || lines.length === nodes.length) return { nodes, notes, pictures };
  const gap: ImportNote = {
    outcome: "lost",
    code: "spacing",
    at: "message",
    what: "the room between paragraphs",
    reason: "lines follow each other: put a spacer where there should be room",
  };
  return { nodes: lines, notes: [...notes, gap], pictures };
}

/** Writing goes on after what was put in; one part that is no text is selected as a whole. */
function atItsEnd(tr: Transaction | null, nodes: readonly Node[]): Transaction | null {
  const [first, ...others] = nodes;
  if (!tr || !first || (others.length === 0 && !first.isTextblock)) return tr;
  const from = tr.selection.from - (first.isTextblock ? 1 : 0);
  const end = from + nodes.reduce((sum, { nodeSize }) => sum + nodeSize, 0);
  return tr.setSelection(Selection.near(tr.doc.resolve(end), -1));
}

/** The parts of some HTML at the selection; null where none of it can stand there. */
export function pasteHtml(
  state: EditorState,
  html: string,
  { importHtml, importParts, findHosted }: Importer,
  taken: FindPicture = () => null,
): Pasted | null {
  const findPicture: FindPicture = (address) => taken(address) ?? findHosted(address);
  const { doc, selection } = state;
  const [cell] = describeSelection(state).cells;
  const parts = importParts(html, {
    settings: settingsOf(doc),
    room: cell ? innerWidth(cell.map, cell.place) : someRoom,
    tables: tablesAround(selection) < deepest,
    findPicture,
  });
  const { nodes, notes, pictures } = withoutParagraphGaps(parts);
  const [first] = nodes;
  if (!first) return null;
  if (nodes.length === 1 && first.type.name === "table" && isBlank(doc)) {
    const imported = importHtml(html, { findPicture });
    const tr = state.tr;
    becomeDocument(tr, imported.document);
    tr.setSelection(Selection.atStart(tr.doc));
    return {
      tr: tr.setMeta("uiEvent", "paste"),
      notes: imported.notes,
      pictures: imported.pictures,
      whole: true,
    };
  }
  const inText = selection.$from.parent.inlineContent && selection.$from.sameParent(selection.$to);
  const onlyLines = nodes.every(({ type }) => type.name === "line");
  const tr =
    onlyLines && inText
      ? state.tr.replaceSelection(new Slice(Fragment.from(nodes), 1, 1)).scrollIntoView()
      : atItsEnd(insertBlocks(state, nodes), nodes);
  return tr?.docChanged ? { tr: tr.setMeta("uiEvent", "paste"), notes, pictures, whole: false } : null;
}
