/** People as a table for spreadsheets: comma-separated (RFC 4180), UTF-8 with a byte order mark, which tells them so. */
import Papa from "papaparse";
import { fieldLabel, typedValue, type FieldId, type Person } from "../fields";

/**
 * A cell that a spreadsheet does not run as a formula: one that begins with what formulas begin with gets an apostrophe before it, which
 * reading takes off again.
 */
export const harmlessCell = (cell: string): string => (/^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);

export function writeSheet(people: readonly Person[], fields: readonly FieldId[]): string {
  const rows = people.map((person) => fields.map((field) => harmlessCell(typedValue(person, field))));
  return `\uFEFF${Papa.unparse([fields.map((field) => harmlessCell(fieldLabel(field))), ...rows], { newline: "\r\n" })}\r\n`;
}
