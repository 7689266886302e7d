/**
 * A table as spreadsheets write it: text with a delimiter (RFC 4180 and what is written instead of it), or cells that were copied.
 * Delimiter and header are found; lines that break the table are told with their numbers and do not take others with them.
 * Lines are counted from 1, as they stand in the file.
 */
import Papa from "papaparse";
import { isMailAddress } from "../../links";
import { largest } from "../../values";
import { mostPeople } from "../change-person";

export const delimiters = [",", ";", "\t", "|"] as const;
export type Delimiter = (typeof delimiters)[number];

export interface SheetRow {
  /** Where it begins. */
  readonly line: number;
  readonly cells: readonly string[];
}

export interface BrokenLine {
  readonly line: number;
  /** As it stands in the file. */
  readonly text: string;
  readonly reason: string;
}

export interface Sheet {
  readonly delimiter: Delimiter;
  /** The names of the columns; made of letters where the file has none. */
  readonly header: readonly string[];
  /** Whether its first row names the columns. */
  readonly named: boolean;
  readonly rows: readonly SheetRow[];
  readonly broken: readonly BrokenLine[];
  /** Whether there was more than is read. */
  readonly cut: boolean;
}

export interface SheetOptions {
  /** Found where none is given. */
  readonly delimiter?: Delimiter;
  readonly named?: boolean;
}

export const mostColumns = 100;
/** UTF-16 units of one line: a quote that nobody closed takes what follows with it. */
const longestRow = 20_000;
/** Lines that are looked at to find the delimiter. */
const sampled = 20;

const harmful = /^'('*[=+\-@\t\r])/;

/** A cell as it was before it was made harmless for spreadsheets, its lines ended in one way. */
const plainCell = (cell: string): string => cell.replace(harmful, "$1").replace(/\r\n?/g, "\n").trim();

interface Parsed {
  readonly cells: readonly string[];
  readonly badQuotes: boolean;
}

/** Counts delimiters outside of quotes. */
function countIn(line: string, delimiter: string): number {
  let quoted = false;
  let found = 0;
  for (const letter of line) {
    if (letter === '"') quoted = !quoted;
    else if (letter === delimiter && !quoted) found += 1;
  }
  return found;
}

/** The delimiter that parts most of the first lines into the same number of cells. */
function findDelimiter(text: string): Delimiter {
  const lines = text
    .slice(0, longestRow)
    .split(/\r\n?|\n/, sampled)
    .filter((line) => line.trim() !== "");
  const byLine = delimiters.map((delimiter) => lines.map((line) => countIn(line, delimiter)));
  // The line that names the columns tells best, unless it is the one that is broken.
  const told = byLine.some(([first = 0]) => first > 0) ? 0 : 1;
  const scores = byLine.map((counts) => {
    const usual = counts[told] ?? 0;
    return usual === 0 ? 0 : counts.filter((count) => count === usual).length * 1000 + usual;
  });
  return delimiters[scores.indexOf(largest(scores, 0))] ?? ",";
}

const isNumber = (cell: string): boolean => /^[+(]?\d[\d\s().\-/]{5,}$/.test(cell.trim());

/** Names of columns are words, each its own, and never what a person has. */
function namesColumns(cells: readonly string[]): boolean {
  const said = cells.map((cell) => cell.trim().toLowerCase()).filter((cell) => cell !== "");
  return (
    said.length > 0 &&
    new Set(said).size === said.length &&
    said.every((cell) => cell.length <= 60 && !isMailAddress(cell) && !isNumber(cell))
  );
}

/** What a column is called that has no name: A, B … Z, AA. */
function letterOf(column: number): string {
  const letter = String.fromCharCode(65 + (column % 26));
  return column < 26 ? letter : `${letterOf(Math.floor(column / 26) - 1)}${letter}`;
}

function headerOf(cells: readonly string[] | undefined, columns: number): readonly string[] {
  return Array.from({ length: columns }, (_unused, column) => {
    const said = cells?.[column]?.trim() ?? "";
    return said === "" ? `Column ${letterOf(column)}` : said.slice(0, 120);
  });
}

const linesIn = (text: string): number => text.match(/\r\n|\r|\n/g)?.length ?? 0;

const quotesBad = "A quotation mark opens a cell and is not closed, or stands within one.";
const tooLong = `The line has over ${longestRow.toLocaleString("en")} characters.`;
/** What is said of a line with more or fewer cells than the table has columns. */
export const wrongCount = (cells: number, columns: number): string =>
  `It has ${cells} ${cells === 1 ? "cell" : "cells"}, and the table has ${columns} ${columns === 1 ? "column" : "columns"}.`;

/** The rows of a text, one after the other; a row that goes wrong ends at the end of its first line. */
function* rowsOf(text: string, delimiter: Delimiter): Generator<Parsed & { line: number; text: string }> {
  let at = 0;
  let line = 1;
  while (at < text.length) {
    const end = endOfRow(text, at, delimiter);
    const whole = end.at > at ? text.slice(at, end.at) : "";
    const raw = whole.replace(/(?:\r\n|\r|\n)$/, "");
    const cells = end.bad ? [] : cellsOf(raw, delimiter);
    yield { cells, badQuotes: end.bad, line, text: raw };
    line += linesIn(whole);
    at = end.at;
  }
}

/** Where a row ends, and whether its quotes go wrong before that: then it ends with its first line. */
function endOfRow(text: string, from: number, delimiter: Delimiter): { at: number; bad: boolean } {
  let quoted = false;
  let fresh = true;
  let firstEnd = -1;
  const until = Math.min(text.length, from + longestRow);
  for (let at = from; at < until; at += 1) {
    const letter = text[at];
    if (quoted) {
      if (letter === "\n" || (letter === "\r" && text[at + 1] !== "\n"))
        firstEnd = firstEnd < 0 ? at + 1 : firstEnd;
      if (letter !== '"') continue;
      if (text[at + 1] === '"') at += 1;
      else {
        quoted = false;
        const next = text[at + 1];
        const closes = next === undefined || next === delimiter || next === "\r" || next === "\n";
        if (!closes) return { at: firstEnd > 0 ? firstEnd : endOfLine(text, at), bad: true };
      }
      continue;
    }
    if (letter === '"' && fresh) quoted = true;
    fresh = letter === delimiter;
    if (letter === "\n") return { at: at + 1, bad: false };
    if (letter === "\r") return { at: text[at + 1] === "\n" ? at + 2 : at + 1, bad: false };
  }
  if (!quoted && until === text.length) return { at: until, bad: false };
  return { at: firstEnd > 0 ? firstEnd : endOfLine(text, from), bad: true };
}

function endOfLine(text: string, from: number): number {
  for (let at = from; at < text.length; at += 1) {
    if (text[at] === "\n") return at + 1;
    if (text[at] === "\r") return text[at + 1] === "\n" ? at + 2 : at + 1;
  }
  return text.length;
}

/** The cells of one row. */
export function cellsOf(row: string, delimiter: Delimiter): readonly string[] {
  if (!row.includes('"')) return row.split(delimiter).map(plainCell);
  const { data } = Papa.parse<string[]>(row, { delimiter, quoteChar: '"', escapeChar: '"' });
  return (data[0] ?? [""]).map(plainCell);
}

/** Empty cells behind the last column are none. */
const trimmed = (cells: readonly string[], columns: number): readonly string[] =>
  cells.length > columns && cells.slice(columns).every((cell) => cell === "")
    ? cells.slice(0, columns)
    : cells;

/** Never throws: what cannot be read as a row is told among the broken lines. */
export function readSheet(given: string, options: SheetOptions = {}): Sheet {
  // A line that names the delimiter is written by one program for another.
  const told = /^\uFEFF?sep=([,;|\t])\r?\n/i.exec(given);
  const text = given.slice(told ? told[0].length : given.startsWith("\uFEFF") ? 1 : 0);
  const skipped = told ? 1 : 0;
  const delimiter = options.delimiter ?? (told?.[1] as Delimiter | undefined) ?? findDelimiter(text);
  const rows: SheetRow[] = [];
  const broken: BrokenLine[] = [];
  let columns = 0;
  let header: readonly string[] | undefined;
  let named = options.named ?? null;
  let cut = false;
  for (const row of rowsOf(text, delimiter)) {
    const line = row.line + skipped;
    if (!row.badQuotes && row.cells.every((cell) => cell === "")) continue;
    if (row.badQuotes) {
      broken.push({ line, text: row.text, reason: row.text.length >= longestRow ? tooLong : quotesBad });
      continue;
    }
    if (columns === 0) {
      columns = Math.min(mostColumns, row.cells.length);
      named ??= namesColumns(row.cells);
      header = named ? row.cells.slice(0, columns) : undefined;
      if (named) continue;
    }
    if (rows.length + broken.length >= mostPeople) {
      cut = true;
      break;
    }
    const cells = trimmed(row.cells, columns);
    if (cells.length === columns) rows.push({ line, cells });
    else broken.push({ line, text: row.text, reason: wrongCount(cells.length, columns) });
  }
  return { delimiter, header: headerOf(header, columns), named: named ?? false, rows, broken, cut };
}
