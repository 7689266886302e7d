/**
 * A list of people from anywhere, read and set beside the directory: a table or contact cards, as bytes or as text that was pasted. How it is
 * read is found and told, and each of it can be said instead; lines that could not be read can be given anew.
 */
import Papa from "papaparse";
import type { CardPhoto } from "../cards/card-photo";
import { holdsCards, readCards, type CardPerson } from "../cards/read-cards";
import type { OwnField } from "../fields";
import { decodeList, listEncodingOf, type ListEncoding } from "./decode-list";
import { matchColumns, type ColumnTarget } from "./match-columns";
import { listedIn, planImport, type ImportPlan, type KnownPerson, type ListedPerson } from "./plan-import";
import {
  cellsOf,
  readSheet,
  wrongCount,
  type BrokenLine,
  type Delimiter,
  type Sheet,
  type SheetRow,
} from "./read-sheet";

export interface ListReading {
  /** Each null where it is to be found. */
  readonly encoding: ListEncoding | null;
  readonly delimiter: Delimiter | null;
  readonly named: boolean | null;
  readonly columns: readonly (ColumnTarget | null)[] | null;
  /** Whether what is empty in the list is taken out of the directory. */
  readonly emptying: boolean;
  /** Lines as they are instead, by their numbers; empty for one that is left out. */
  readonly mended: Readonly<Record<number, string>>;
}

export interface ListRequest extends ListReading {
  readonly source: Uint8Array | string;
  readonly people: readonly KnownPerson[];
  readonly own: readonly OwnField[];
  /** What was chosen for columns before, by the keys of their names. */
  readonly remembered: Readonly<Record<string, ColumnTarget | null>>;
}

/** How a table is read; null for contact cards, whose fields say what they are. */
export interface ReadTable {
  readonly delimiter: Delimiter;
  readonly named: boolean;
  readonly header: readonly string[];
  readonly columns: readonly (ColumnTarget | null)[];
  /** The first cells of each column that hold something. */
  readonly samples: readonly (readonly string[])[];
}

/** A photograph that a list holds, and whose it is. */
export interface ListedPhoto extends CardPhoto {
  readonly name: string;
  /** Empty where the list does not say it. */
  readonly mail: string;
}

/** What contact cards have besides words, of people who can be read. */
export interface PhotosOfList {
  readonly held: readonly ListedPhoto[];
  /** Those of which there is an address only. */
  readonly elsewhere: number;
}

export interface ReadList {
  /** Null for text that was pasted. */
  readonly encoding: ListEncoding | null;
  readonly table: ReadTable | null;
  /** People that it lists, and lines that cannot be read. */
  readonly lines: number;
  /** Whether there was more than is read. */
  readonly cut: boolean;
  readonly plan: ImportPlan;
  readonly photos: PhotosOfList;
}

const sampled = 3;

const samplesOf = ({ header, rows }: Sheet): readonly (readonly string[])[] =>
  header.map((_name, column) => {
    const found: string[] = [];
    for (const { cells } of rows) {
      const cell = cells[column] ?? "";
      if (cell !== "") found.push(cell);
      if (found.length === sampled) break;
    }
    return found;
  });

/** A row as it stands in a file. */
const lineOf = ({ cells }: SheetRow, delimiter: Delimiter): string =>
  Papa.unparse([[...cells]], { delimiter });

/** The rows with those lines in place of theirs that were given anew. */
function mendSheet(sheet: Sheet, mended: ListReading["mended"]): Sheet {
  if (Object.keys(mended).length === 0) return sheet;
  const isMended = ({ line }: { line: number }): boolean => Object.hasOwn(mended, line);
  const rows = sheet.rows.filter((row) => !isMended(row));
  const broken = sheet.broken.filter((each) => !isMended(each));
  for (const [number, text] of Object.entries(mended)) {
    if (text.trim() === "") continue;
    const row = { line: Number(number), cells: cellsOf(text, sheet.delimiter) };
    if (row.cells.length === sheet.header.length) rows.push(row);
    else broken.push({ line: row.line, text, reason: wrongCount(row.cells.length, sheet.header.length) });
  }
  return { ...sheet, broken, rows: rows.sort((one, other) => one.line - other.line) };
}

interface Listed {
  readonly table: ReadTable | null;
  readonly listed: readonly (ListedPerson & Partial<CardPerson>)[];
  readonly broken: readonly BrokenLine[];
  readonly cut: boolean;
}

function readTable(text: string, request: ListRequest): Listed {
  const { delimiter, named, columns, own, remembered, mended } = request;
  const read = readSheet(text, {
    ...(delimiter !== null && { delimiter }),
    ...(named !== null && { named }),
  });
  const fitting = columns?.length === read.header.length ? columns : null;
  const targets = fitting ?? matchColumns(read, own, remembered);
  const sheet = mendSheet(read, mended);
  return {
    table: {
      ...{ delimiter: sheet.delimiter, named: sheet.named, header: sheet.header },
      ...{ columns: targets, samples: samplesOf(read) },
    },
    listed: listedIn(sheet.rows, targets, (row) => lineOf(row, sheet.delimiter)),
    ...{ broken: sheet.broken, cut: sheet.cut },
  };
}

function readAsCards(text: string, { mended }: ListRequest): Listed {
  const { listed, broken, cut } = readCards(text);
  const isLeft = ({ line }: { line: number }): boolean => !Object.hasOwn(mended, line);
  const anew = Object.entries(mended).map(([line, given]) => {
    const read = readCards(given);
    const at = <T extends object>(each: T): T => ({ ...each, line: Number(line) });
    return { listed: read.listed.map(at), broken: read.broken.map(at) };
  });
  return {
    table: null,
    listed: [...listed.filter(isLeft), ...anew.flatMap((each) => each.listed)],
    broken: [...broken.filter(isLeft), ...anew.flatMap((each) => each.broken)],
    cut,
  };
}

function photosOf(listed: Listed["listed"], { broken }: ImportPlan): PhotosOfList {
  const unread = new Set(broken.map(({ line }) => line));
  const held: ListedPhoto[] = [];
  let elsewhere = 0;
  for (const { line, details, photo } of listed) {
    if (!photo || unread.has(line)) continue;
    if (photo === "elsewhere") elsewhere += 1;
    else held.push({ ...photo, name: details.name ?? "", mail: details.mail ?? "" });
  }
  return { held, elsewhere };
}

/** Never throws: what cannot be read is told among the plan's broken lines. */
export function readList(request: ListRequest): ReadList {
  const { source, people, emptying } = request;
  const encoding = typeof source === "string" ? null : (request.encoding ?? listEncodingOf(source));
  const text = typeof source === "string" ? source : decodeList(source, encoding ?? "utf-8");
  const { table, listed, broken, cut } = holdsCards(text)
    ? readAsCards(text, request)
    : readTable(text, request);
  const plan = planImport(listed, people, broken, { emptying });
  return {
    ...{ encoding, table, cut, lines: listed.length + broken.length },
    ...{ plan, photos: photosOf(listed, plan) },
  };
}
