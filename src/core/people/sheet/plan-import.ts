/**
 * What an import would do to a directory, worked out before anything is written: who comes, who changes and how, who is not in the list, and
 * which lines cannot be read. People are found by their mail address, else by their name.
 */
import { isMailAddress } from "../../links";
import {
  changePerson,
  detail,
  differing,
  filledDetails,
  type Details,
  type PersonChange,
} from "../change-person";
import { emptyPerson, fieldLabel, typedValue, type FieldId, type Person } from "../fields";
import { longestField } from "../read-person";
import { isNamePart, type ColumnTarget } from "./match-columns";
import type { BrokenLine, SheetRow } from "./read-sheet";

export interface KnownPerson {
  readonly id: string;
  readonly person: Person;
}

/** One person of a list: what it says of them, and where. */
export interface ListedPerson {
  readonly line: number;
  /** As it stands there. */
  readonly text: string;
  readonly details: Details;
}

export interface AddedPerson {
  readonly line: number;
  readonly person: Person;
}

export interface ChangedPerson extends KnownPerson {
  readonly line: number;
  readonly from: Details;
  readonly to: Details;
}

export interface ImportPlan {
  readonly added: readonly AddedPerson[];
  readonly changed: readonly ChangedPerson[];
  /** In the list as they are. */
  readonly same: number;
  /** In the directory and not in the list. */
  readonly missing: readonly KnownPerson[];
  readonly broken: readonly BrokenLine[];
  /** Cells of people who change that are empty where the directory has something. */
  readonly emptied: number;
}

/** What each row says, by the fields that its columns mean. */
export function listedIn(
  rows: readonly SheetRow[],
  columns: readonly (ColumnTarget | null)[],
  textOf: (row: SheetRow) => string,
): readonly ListedPerson[] {
  return rows.map((row) => {
    const details: Partial<Record<FieldId, string>> = {};
    const parts: Partial<Record<ColumnTarget, string>> = {};
    columns.forEach((target, column) => {
      if (target === null) return;
      const cell = row.cells[column] ?? "";
      if (isNamePart(target)) parts[target] = cell;
      else details[target] = cell;
    });
    if ("given name" in parts || "family name" in parts)
      details.name = [parts["given name"], parts["family name"]].filter(Boolean).join(" ");
    return { line: row.line, text: textOf(row), details };
  });
}

const mailKey = (mail: string): string => mail.trim().toLowerCase();
const nameKey = (name: string): string => name.normalize("NFC").trim().replace(/\s+/g, " ").toLowerCase();

function grouped(people: readonly KnownPerson[], keyOf: (person: Person) => string) {
  const groups = new Map<string, KnownPerson[]>();
  for (const each of people) {
    const key = keyOf(each.person);
    if (key === "") continue;
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  return groups;
}

/** Why a line cannot be taken by itself; null where it can. */
function wrongIn({ details }: ListedPerson): string | null {
  const { name = "", mail = "" } = details;
  if (name.trim() === "" && mail.trim() === "") return "It has neither a name nor a mail address.";
  if (mail.trim() !== "" && !isMailAddress(mail.trim())) return `“${mail}” is not a mail address.`;
  for (const [field, said] of Object.entries(details) as [FieldId, string][]) {
    if (said.length > longestField) return `${fieldLabel(field)} has over ${longestField} characters.`;
    if (detail.check(said) !== null) return `${fieldLabel(field)} has characters that cannot be seen.`;
  }
  return null;
}

/** Whether what is empty in the list takes out what the directory has there. */
export interface PlanOptions {
  readonly emptying: boolean;
}

/** `broken` are the lines that could not be read before; all come back in the order of lines. */
export function planImport(
  listed: readonly ListedPerson[],
  people: readonly KnownPerson[],
  broken: readonly BrokenLine[],
  { emptying }: PlanOptions,
): ImportPlan {
  const byMail = grouped(people, ({ mail }) => mailKey(mail));
  const byName = grouped(people, ({ name }) => nameKey(name));
  const found = new Map<string, number>();
  const mails = new Map<string, number>();
  const names = new Map<string, number>();
  const added: AddedPerson[] = [];
  const changed: ChangedPerson[] = [];
  const refused: BrokenLine[] = [...broken];
  let same = 0;
  let emptied = 0;

  const take = (each: ListedPerson): string | null => {
    const wrong = wrongIn(each);
    if (wrong !== null) return wrong;
    const { line, details } = each;
    const [mail, name] = [mailKey(details.mail ?? ""), nameKey(details.name ?? "")];
    const [first, which]: readonly [number | undefined, string] =
      mail === "" ? [names.get(name), "the same name"] : [mails.get(mail), "the same mail address"];
    if (first !== undefined) return `Line ${first} has ${which}.`;
    const mailed = mail === "" ? undefined : byMail.get(mail);
    const alike = mailed ?? byName.get(name) ?? [];
    if (alike.length > 1)
      return mailed
        ? `${alike.length} people have the mail address ${details.mail}.`
        : `${alike.length} people are called ${details.name}: a mail address says which one is meant.`;
    const [known] = alike;
    const before = known === undefined ? undefined : found.get(known.id);
    if (before !== undefined) return `Line ${before} is about the same person.`;

    if (known === undefined && name === "") return "It has no name, and nobody has this mail address.";
    if (mail === "") names.set(name, line);
    else mails.set(mail, line);
    if (known === undefined) {
      added.push({
        line,
        person: changePerson(emptyPerson, { id: "", from: null, to: details }) ?? emptyPerson,
      });
      return null;
    }
    found.set(known.id, line);
    const said = Object.entries(details) as [FieldId, string][];
    const blank = said.filter(
      ([field, value]) => value === "" && field !== "name" && typedValue(known.person, field) !== "",
    );
    emptied += blank.length;
    const left = new Set(emptying ? [] : blank.map(([field]) => field));
    const to: Details = Object.fromEntries(
      said.filter(([field, value]) => !left.has(field) && !(field === "name" && value.trim() === "")),
    );
    const after = changePerson(known.person, { id: known.id, from: {}, to }) ?? known.person;
    const difference = differing(known.person, after);
    if (Object.keys(difference.to).length === 0) same += 1;
    else changed.push({ ...known, line, ...difference });
    return null;
  };

  for (const each of listed) {
    const reason = take(each);
    if (reason !== null) refused.push({ line: each.line, text: each.text, reason });
  }
  return {
    ...{ added, changed, same, emptied },
    missing: people.filter(({ id }) => !found.has(id)),
    broken: refused.sort((one, other) => one.line - other.line),
  };
}

/** What is written when a plan is carried out; `idOf` names who comes, `goes` whom of the missing are taken out. */
export const changesOf = (
  { added, changed }: ImportPlan,
  idOf: (person: Person) => string,
  goes: readonly KnownPerson[],
): readonly PersonChange[] => [
  ...added.map(({ person }): PersonChange => ({ id: idOf(person), from: null, to: filledDetails(person) })),
  ...changed.map(({ id, from, to }): PersonChange => ({ id, from, to })),
  ...goes.map(({ id, person }): PersonChange => ({ id, from: filledDetails(person), to: null })),
];
