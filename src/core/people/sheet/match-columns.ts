/** Which field each column of a table means: what was chosen before for its name, its name, or what stands in it. */
import { isMailAddress } from "../../links";
import { wordTable } from "../../values";
import { fieldLabel, wordFieldNames, wordFields, type FieldId, type OwnField } from "../fields";
import { columnNames, namePartLabels, type NamePart } from "./column-names";
import type { Sheet } from "./read-sheet";

/** What a column is read as. */
export type ColumnTarget = FieldId | NamePart;

export const nameParts = Object.keys(namePartLabels) as readonly NamePart[];

export const isNamePart = (target: string): target is NamePart => Object.hasOwn(namePartLabels, target);

export const targetLabel = (target: ColumnTarget): string =>
  isNamePart(target) ? namePartLabels[target] : fieldLabel(target);

/** A column's name as it is compared: small letters and digits, without accents. */
export const columnKey = (name: string): string =>
  name
    .normalize("NFD")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, "");

const known = wordTable<ColumnTarget>(
  Object.fromEntries(
    Object.entries(columnNames).flatMap(([target, names]) =>
      names.map((name) => [columnKey(name), target as ColumnTarget]),
    ),
  ),
);

interface Telling {
  readonly field: FieldId;
  readonly tells: (cell: string) => boolean;
}

/** Fields that show by what stands in them, the surest first. */
const telling: readonly Telling[] = [
  { field: "mail", tells: isMailAddress },
  {
    field: "mobile",
    tells: (cell) =>
      /^(?:\+44 ?\(?0?\)? ?7|07|\+49 ?\(?0?\)? ?1[5-7]|\+33 ?[67])[\d\s().\-/]{7,}$/.test(cell),
  },
  { field: "phone", tells: (cell) => /^[+(]?\d[\d\s().\-/]{6,}(?:\s*(?:ext\.?|x)\s*\d+)?$/i.test(cell) },
  { field: "web", tells: (cell) => /^(?:https?:\/\/)?[\w-]+(?:\.[\w-]+)+(?:\/\S*)?$/i.test(cell) },
];

/** Cells that are looked at to tell a column by. */
const sampled = 50;
/** The share of them that has to agree. */
const enough = 0.7;

function byContent({ rows }: Sheet, column: number): FieldId | null {
  const cells = rows
    .slice(0, sampled)
    .map(({ cells: all }) => (all[column] ?? "").trim())
    .filter((cell) => cell !== "");
  if (cells.length === 0) return null;
  return telling.find(({ tells }) => cells.filter(tells).length >= cells.length * enough)?.field ?? null;
}

/**
 * A field for each column, null for one that is left out. No two columns mean the same; `remembered` holds what was chosen before by the
 * keys of names, null for what was left out.
 */
export function matchColumns(
  sheet: Sheet,
  own: readonly OwnField[] = [],
  remembered: Readonly<Record<string, ColumnTarget | null>> = {},
): readonly (ColumnTarget | null)[] {
  const found: (ColumnTarget | null)[] = sheet.header.map(() => null);
  const taken = new Set<ColumnTarget>();
  const offered = new Set<ColumnTarget>([...wordFieldNames, ...nameParts, ...wordFields(own)]);
  const decided = new Set<number>();
  const take = (column: number, target: ColumnTarget | null | undefined): void => {
    if (target === undefined || decided.has(column)) return;
    if (target !== null && (taken.has(target) || !offered.has(target))) return;
    decided.add(column);
    found[column] = target;
    if (target !== null) taken.add(target);
  };
  const keys = sheet.header.map(columnKey);
  const ownByName = new Map<string, ColumnTarget>(
    wordFields(own).map((field) => [columnKey(fieldLabel(field)), field]),
  );
  if (sheet.named) {
    keys.forEach((key, column) => take(column, Object.hasOwn(remembered, key) ? remembered[key] : undefined));
    keys.forEach((key, column) => take(column, ownByName.get(key)));
    keys.forEach((key, column) => take(column, known[key]));
  }
  keys.forEach((_key, column) => {
    if (!decided.has(column)) take(column, byContent(sheet, column) ?? undefined);
  });
  // A name is in one column or in its parts.
  if (taken.has("name")) return found.map((target) => (target && isNamePart(target) ? null : target));
  // Where nothing says which column is the name, it is the first one of words.
  if (!taken.has("given name") && !taken.has("family name")) {
    const column = sheet.header.findIndex(
      (_name, index) =>
        found[index] === null &&
        !decided.has(index) &&
        sheet.rows.slice(0, sampled).some(({ cells }) => /\p{L}{2}/u.test(cells[index] ?? "")),
    );
    if (column >= 0) found[column] = "name";
  }
  return found;
}
