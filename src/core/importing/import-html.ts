/**
 * HTML from anywhere as a document: parsed as inert data, its looks worked out, its layout read as tables of at most two
 * levels. Whatever cannot be held is in the notes, with its place and the reason. Never throws, and nothing that runs is kept.
 */
import type { Node } from "prosemirror-model";
import { elementsIn, isElement, parseMessage, type Element } from "../html";
import { build, readSignature, type Settings } from "../signature";
import { cutMessage } from "./cut-message";
import { onlyCell } from "./reading/frames";
import { readParts } from "./reading/read-parts";
import type { Part, TablePart } from "./reading/parts";
import { noBorder, noPadding } from "./reading/parts";
import type { FindPicture, FoundPicture, MentionedPicture } from "./reading/read-pictures";
import { settleLine } from "./reading/settle-table";
import {
  sizeTable,
  withinDepth,
  withoutTables,
  type SizedCell,
  type SizedPart,
  type SizedTable,
} from "./reading/size-table";
import { residueAttribute } from "./reading/residue";
import { toDocument, toNodes, type DocumentReading } from "./reading/to-document";
import { Reporter, type ImportNote, type ToldNote } from "./report";
import { readPicturePath } from "../addresses";
import { plainBox, type Look } from "./style/look";
import { readStyleSheets } from "./style/style-sheets";

export interface ImportOptions {
  /** What a picture's address in the message is in the document; by default hosted ones under any address, and remote ones. */
  readonly findPicture?: FindPicture;
  /** Settings that the document has whatever the HTML looks like: what is set in other type says so itself. */
  readonly settings?: Settings;
  /** Whether elements keep where in the HTML they stand. */
  readonly located?: boolean;
}

export interface Imported {
  readonly document: Node;
  readonly notes: readonly ImportNote[];
  /** Every picture that the message shows, in its order. */
  readonly pictures: readonly MentionedPicture[];
}

/** A hosted picture by its path, under whatever address it stands; remote ones by their address. */
export const findHosted: FindPicture = (address): FoundPicture | null => {
  const path = /^(?:https?:\/\/[^/?#]+(?:\/[^?#]*?)?)?(\/h\/[^?#]+)$/i.exec(address)?.[1];
  return path !== undefined && readPicturePath(path) ? { source: path } : null;
};

interface PartsOfMessage {
  readonly parts: readonly Part[];
  readonly pictures: readonly MentionedPicture[];
  readonly body: Element;
  readonly look: Look;
}

function readMessageParts(html: string, reporter: Reporter, options: ImportOptions): PartsOfMessage {
  const { head, body } = parseMessage(html, options.located);
  cutMessage(body, reporter);
  const styles = [...elementsIn(head), ...elementsIn(body)].filter(({ tagName }) => tagName === "style");
  const sheets = readStyleSheets(styles, reporter);
  const find: FindPicture = options.findPicture ?? findHosted;
  const { parts, pictures, look } = readParts({ body, sheets, reporter, find });
  return { parts: parts.map(settleLine), pictures, body, look };
}

/** One table of everything: the message's own where that is all there is, or one of a single cell around it. */
function outerTable(parts: readonly Part[], body: Element, look: Look): TablePart {
  const shown = trimmed(parts);
  const [only, ...others] = shown;
  if (only?.kind === "table" && others.length === 0) return only;
  return {
    kind: "table",
    rows: 1,
    columns: 1,
    cells: [onlyCell({ element: body, look: { ...look, verticalAlign: "top" }, box: plainBox }, shown)],
    width: null,
    place: null,
    look,
    element: body,
  };
}

/** Without the gaps and empty lines that it begins and ends with. */
function trimmed(parts: readonly Part[]): readonly Part[] {
  const blank = (part: Part | undefined): boolean =>
    part !== undefined && (part.kind === "gap" || (part.kind === "line" && part.inlines.length === 0));
  let from = 0;
  let to = parts.length;
  while (from < to && blank(parts[from])) from += 1;
  while (to > from && blank(parts[to - 1])) to -= 1;
  return parts.slice(from, to);
}

/** How many positions a table may have; one that is larger is read as what is in its cells. */
const mostPositions = 4000;

/** The table with each of its positions covered once: by an empty cell where none is, and by the first where several are. */
function filled(table: SizedTable): SizedTable {
  const columns = table.widths.length;
  const covering: (number | undefined)[] = Array.from({ length: table.rows * columns }, () => undefined);
  const cells: SizedCell[] = [];
  for (const cell of table.cells) {
    const positions = positionsOf(cell, table.rows, columns);
    const taken = positions.map((at) => covering[at]).find((index) => index !== undefined);
    const parts = cell.parts.map((part) => (part.kind === "sized" ? filled(part) : part));
    const before = taken === undefined ? undefined : cells[taken];
    if (taken !== undefined && before) cells[taken] = { ...before, parts: [...before.parts, ...parts] };
    else {
      for (const at of positions) covering[at] = cells.length;
      cells.push({ ...cell, parts });
    }
  }
  const [first] = cells;
  if (first)
    covering.forEach((index, at) => {
      if (index === undefined) cells.push(emptyCell(first, Math.floor(at / columns), at % columns));
    });
  return { ...table, cells: cells.sort((one, other) => one.row - other.row || one.column - other.column) };
}

/** The positions that a cell covers, as numbers row by row. */
const positionsOf = (
  { row, column, rowspan, colspan }: SizedCell,
  rows: number,
  columns: number,
): readonly number[] =>
  Array.from(
    { length: Math.min(rowspan, rows - row) * Math.min(colspan, columns - column) },
    (_unused, index) => {
      const wide = Math.min(colspan, columns - column);
      return (row + Math.floor(index / wide)) * columns + column + (index % wide);
    },
  );

const emptyCell = (like: SizedCell, row: number, column: number): SizedCell => ({
  ...like,
  row,
  column,
  rowspan: 1,
  colspan: 1,
  height: null,
  padding: noPadding,
  border: noBorder,
  background: null,
  radius: 0,
  parts: [],
  saysType: false,
});

/** A table too large for any signature gives what is in its cells. */
function bounded(part: Part, reporter: Reporter): readonly Part[] {
  if (part.kind !== "table" || part.rows * part.columns <= mostPositions) return [part];
  reporter.say(
    part.element,
    "changed",
    "layout",
    `a table of ${part.rows} × ${part.columns}`,
    "it is too large for a signature: what is in it stands in lines",
  );
  return part.cells.flatMap(({ parts }) => parts.flatMap((inside) => bounded(inside, reporter)));
}

function readDocument(
  read: PartsOfMessage,
  reporter: Reporter,
  believed: boolean,
  settings: Settings | null,
): DocumentReading {
  const parts = read.parts.flatMap((part) => bounded(part, reporter));
  const table = filled(withinDepth(sizeTable(outerTable(parts, read.body, read.look), null), reporter));
  const first = read.body.childNodes.find(isElement) ?? null;
  return toDocument(table, first, reporter, believed, settings);
}

export interface ImportReading extends DocumentReading {
  readonly imported: Imported;
  readonly body: Element;
  /** The notes beside the elements that they are about; null for the whole. */
  readonly told: readonly ToldNote[];
}

/** The same with the elements that the parts came from, for what works on both. */
export const readHtml = (html: string, options: ImportOptions = {}): ImportReading =>
  openHtml(html, options)(options.settings ?? null);

/** HTML that is parsed once, to be read as the document that it is with some settings, or with those that it looks set in. */
export function openHtml(
  html: string,
  options: Omit<ImportOptions, "settings"> = {},
): (settings: Settings | null) => ImportReading {
  const reporter = new Reporter();
  const read = readMessageParts(html, reporter, options);
  return (settings) => readAs(html, read, reporter, settings);
}

function readAs(
  html: string,
  read: PartsOfMessage,
  reporter: Reporter,
  settings: Settings | null,
): ImportReading {
  let reading = readDocument(read, reporter, true, settings);
  // What stands beside the HTML is somebody's word: a document that it makes invalid is read without it.
  if (html.includes(residueAttribute) && !readSignature(reading.document.toJSON()).ok)
    reading = readDocument(read, new Reporter(), false, settings);
  const { pictures, body } = read;
  return {
    ...reading,
    body,
    told: reporter.told(),
    imported: { document: reading.document, notes: reporter.notes(body), pictures },
  };
}

/** A document from HTML, and what became of what it cannot hold. Never throws. */
export const importHtml = (html: string, options: ImportOptions = {}): Imported =>
  readHtml(html, options).imported;

export interface ImportedParts {
  readonly nodes: readonly Node[];
  readonly notes: readonly ImportNote[];
  readonly pictures: readonly MentionedPicture[];
}

export interface PartsOptions extends ImportOptions {
  /** Of the signature that they go into. */
  readonly settings: Settings;
  /** The room in the cell that they go into; px. */
  readonly room: number;
  /** Whether a table may stand there. */
  readonly tables: boolean;
}

/** Parts for a cell from HTML: what a paste brings. Never throws. */
export function importParts(
  html: string,
  { settings, room, tables, ...options }: PartsOptions,
): ImportedParts {
  const reporter = new Reporter();
  const { parts, pictures, body } = readMessageParts(html, reporter, options);
  const sized = trimmed(parts)
    .flatMap((part) => bounded(part, reporter))
    .flatMap((part): readonly SizedPart[] => {
      if (part.kind !== "table") return [part];
      const table = filled(withoutTables(sizeTable(part, room), reporter));
      return tables ? [table] : table.cells.flatMap((cell) => cell.parts);
    });
  const believed = toNodes(sized, settings, room, reporter, true);
  const sound = !html.includes(residueAttribute) || areSound(believed, tables);
  const nodes = sound ? believed : toNodes(sized, settings, room, new Reporter(), false);
  return { nodes, notes: reporter.notes(body), pictures };
}

/** Whether parts may stand in a cell: in one of the outer table, or where no table may stand in one of a nested one. */
function areSound(parts: readonly Node[], tables: boolean): boolean {
  const cellOf = (content: readonly Node[]): Node => build.cell({ width: [100] }, ...content);
  try {
    const inner = cellOf(parts);
    const cell = tables ? inner : cellOf([build.table(build.row(inner))]);
    return readSignature(build.signature({}, build.table(build.row(cell))).toJSON()).ok;
  } catch {
    return false;
  }
}
