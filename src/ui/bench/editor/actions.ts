/**
 * Everything that can be done to the document by name: the palette, the menus, the keys and the sheet of keys are
 * all drawn from this one list. Keys are in the notation of the key map: "Mod" is Ctrl, or Cmd on some keyboards.
 */
import { redo, undo } from "prosemirror-history";
import type { Node } from "prosemirror-model";
import type { Command } from "prosemirror-state";
import { fieldLabel, wordFieldNames, type FieldId } from "@/core/people";
import { build, disclaimer, readyLines, schema, settingsOf } from "@/core/signature";
import { insertBlock, insertInline, takeStylingOff, toggle, toggleUnderline } from "./commands";
import { duplicateSelected, moveSelectedPart, removeSelected, toggleShortForm } from "./part-commands";
import { deleteSelected, evenOut, insertBeside, merge, moveSelected, split } from "./table-commands";
import { insertAcross, insertNested, nestedTable } from "./table-insertions";
import { selectIn, selectOut } from "./table-selection";

export type ActionGroup =
  "Parts" | "Ready lines" | "In a line" | "Table" | "Part" | "Text" | "Measures" | "Go" | "Signature";

export interface Action {
  readonly id: string;
  readonly name: string;
  readonly group: ActionGroup;
  readonly keys?: string;
  readonly command: Command;
}

const block =
  (make: () => Node): Command =>
  (state, dispatch) => {
    const tr = insertBlock(state, make());
    if (tr) dispatch?.(tr);
    return tr !== null;
  };

const inline =
  (make: () => Node): Command =>
  (state, dispatch) => {
    const tr = insertInline(state, make());
    if (tr) dispatch?.(tr);
    return tr !== null;
  };

/** What is on a side of the sheet comes before in one direction of writing and after in the other. */
const onSide =
  (side: "left" | "right", make: (where: "before" | "after") => Command): Command =>
  (state, dispatch) => {
    const rightToLeft = settingsOf(state.doc).direction === "rtl";
    return make((side === "left") === rightToLeft ? "after" : "before")(state, dispatch);
  };

/** Something that is put in: at the cursor, or where it is dropped. */
export interface Insertable extends Action {
  /** A block between parts, something inside a line, or a row across all columns of so many px. */
  readonly form: "block" | "inline" | "across";
  readonly make: (width: number) => Node;
}

const insertable = (
  group: ActionGroup,
  form: Insertable["form"],
  id: string,
  name: string,
  make: (width: number) => Node,
  command?: Command,
): Insertable => ({
  id,
  name,
  group,
  form,
  make,
  command:
    command ??
    (form === "inline"
      ? inline(() => make(0))
      : form === "across"
        ? insertAcross((width) => [make(width)])
        : block(() => make(0))),
});

const bannerHeight = 80;

/** The parts that go into cells, beside pictures, which are chosen first. */
export const parts: readonly Insertable[] = [
  insertable("Parts", "block", "line", "Line of text", () => build.line()),
  insertable("Parts", "block", "picture-place", "Picture place", () => build.picturePlace(96, 96)),
  insertable("Parts", "block", "portrait", "Portrait", () =>
    build.picture({ source: "", width: 96, height: 96, field: "portrait" }),
  ),
  insertable("Parts", "block", "icon-row", "Icon row", () => schema.nodes.iconRow.create()),
  insertable("Parts", "block", "button", "Button", () => build.button({}, build.text("Book a visit"))),
  insertable("Parts", "block", "divider", "Divider", () => build.divider()),
  insertable("Parts", "block", "spacer", "Spacer", () => build.spacer(8)),
  insertable("Parts", "block", "nested-table", "Nested table", nestedTable, insertNested),
  insertable("Parts", "across", "banner", "Banner across", (width) =>
    build.picturePlace(width, bannerHeight),
  ),
  insertable("Parts", "across", "disclaimer-across", "Disclaimer across", () => disclaimer.line),
];

export const lines: readonly Insertable[] = readyLines.map(({ id, name, line }) =>
  insertable("Ready lines", "block", id, name, () => line),
);

/** A field of the directory, drawn as whoever it is says. */
export const fieldPart = (field: FieldId): Insertable =>
  insertable("In a line", "inline", `field-${field}`, fieldLabel(field), () => build.field(field));

export const inlineParts: readonly Insertable[] = [
  insertable("In a line", "inline", "separator", "Separator", () => build.separator("|", 6)),
  ...wordFieldNames.map(fieldPart),
];

const tableActions: readonly Action[] = [
  {
    id: "row-above",
    name: "Insert a row above",
    keys: "Alt-Shift-ArrowUp",
    command: insertBeside("row", "before"),
  },
  {
    id: "row-below",
    name: "Insert a row below",
    keys: "Alt-Shift-ArrowDown",
    command: insertBeside("row", "after"),
  },
  {
    id: "column-before",
    name: "Insert a column at the left",
    keys: "Alt-Shift-ArrowLeft",
    command: onSide("left", (where) => insertBeside("column", where)),
  },
  {
    id: "column-after",
    name: "Insert a column at the right",
    keys: "Alt-Shift-ArrowRight",
    command: onSide("right", (where) => insertBeside("column", where)),
  },
  { id: "row-up", name: "Move the row up", keys: "Alt-PageUp", command: moveSelected("row", -1) },
  { id: "row-down", name: "Move the row down", keys: "Alt-PageDown", command: moveSelected("row", 1) },
  {
    id: "column-left",
    name: "Move the column to the left",
    keys: "Alt-ArrowLeft",
    command: onSide("left", (where) => moveSelected("column", where === "before" ? -1 : 1)),
  },
  {
    id: "column-right",
    name: "Move the column to the right",
    keys: "Alt-ArrowRight",
    command: onSide("right", (where) => moveSelected("column", where === "before" ? -1 : 1)),
  },
  { id: "merge", name: "Merge the selected cells", keys: "Alt-Shift-m", command: merge },
  { id: "split", name: "Split the cell", keys: "Alt-Shift-s", command: split },
  { id: "even", name: "Even out the columns", keys: "Alt-Shift-e", command: evenOut },
  { id: "delete-row", name: "Delete the row", keys: "Alt-Shift-r", command: deleteSelected("row") },
  { id: "delete-column", name: "Delete the column", keys: "Alt-Shift-c", command: deleteSelected("column") },
].map((action) => ({ ...action, group: "Table" as const }));

const partActions: readonly Action[] = [
  { id: "part-up", name: "Move the part up", keys: "Alt-ArrowUp", command: moveSelectedPart(-1) },
  { id: "part-down", name: "Move the part down", keys: "Alt-ArrowDown", command: moveSelectedPart(1) },
  { id: "duplicate", name: "Duplicate the part", keys: "Alt-Shift-d", command: duplicateSelected },
  { id: "remove", name: "Take the part out", keys: "Alt-Shift-x", command: removeSelected },
  {
    id: "short-form",
    name: "Leave out of replies, or take back",
    keys: "Alt-Shift-o",
    command: toggleShortForm,
  },
].map((action) => ({ ...action, group: "Part" as const }));

const textActions: readonly Action[] = [
  { id: "bold", name: "Bold", keys: "Mod-b", command: toggle(schema.marks.bold) },
  { id: "italic", name: "Italic", keys: "Mod-i", command: toggle(schema.marks.italic) },
  { id: "underline", name: "Underline", keys: "Mod-u", command: toggleUnderline },
  { id: "upper-case", name: "Capitals", keys: "Alt-Shift-u", command: toggle(schema.marks.upperCase) },
  {
    id: "strikethrough",
    name: "Strikethrough",
    keys: "Alt-Shift-t",
    command: toggle(schema.marks.strikethrough),
  },
  {
    id: "superscript",
    name: "Superscript",
    keys: "Alt-Shift-h",
    command: toggle(schema.marks.superscript),
  },
  { id: "subscript", name: "Subscript", keys: "Alt-Shift-b", command: toggle(schema.marks.subscript) },
  { id: "clear-styling", name: "Take the styling off", keys: "Alt-Shift-z", command: takeStylingOff },
].map((action) => ({ ...action, group: "Text" as const }));

const goActions: readonly Action[] = [
  { id: "select-out", name: "Select the next level out", keys: "Escape", command: selectOut },
  { id: "select-in", name: "Go into what is selected", keys: "Enter", command: selectIn },
  { id: "undo", name: "Undo", keys: "Mod-z", command: undo },
  { id: "redo", name: "Redo", keys: "Mod-y", command: redo },
].map((action) => ({ ...action, group: "Go" as const }));

export const menuActions = { table: tableActions, part: partActions } as const;

export const actions: readonly Action[] = [
  ...parts,
  ...lines,
  ...inlineParts,
  ...tableActions,
  ...partActions,
  ...textActions,
  ...goActions,
];

/** What is done by a key other than an action: moving about and what a person expects of any text. */
export const otherKeys: readonly (readonly [keys: string, does: string])[] = [
  ["Tab", "Go to the next cell"],
  ["Shift-Tab", "Go to the cell before"],
  ["Shift-ArrowRight", "With a cell selected: widen the block (any arrow)"],
  ["Mod-a", "Select all in the cell, then all cells"],
  ["Enter", "New line"],
  ["Shift-Enter", "Break inside the line"],
  ["Mod-Shift-v", "Paste as plain text"],
  ["ArrowUp", "In a measure: one step up; with Shift, five"],
  ["F2", "Finds every measure of what is selected by its name, and goes there"],
];
