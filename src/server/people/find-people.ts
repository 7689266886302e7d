/** Looking for people of the directory: as they are listed, and as they are chosen from. */
import type { DirectoryPerson, FoundPeople, PeopleLook, PersonChoice } from "@/contract";
import {
  fieldId,
  fieldsOf,
  fieldValue,
  isPictureField,
  typedValue,
  wordFields,
  type FieldId,
  type Person,
} from "@/core/people";
import { closenessOf, holdsPlain, plain } from "../shelf/words";
import { directory } from "./directory";
import { countPeople } from "./people";

/** All that is written of a person, as it is looked through; directories do not change, so it is made once. */
const searched = new WeakMap<Person, string>();

function wordsOf(person: Person): string {
  const known = searched.get(person);
  if (known !== undefined) return known;
  const words = plain(
    wordFields(fieldsOf([person]))
      .map((field) => typedValue(person, field))
      .join(" \n "),
  );
  searched.set(person, words);
  return words;
}

const collator = new Intl.Collator("en", { numeric: true });

/** By a field, those who have nothing there last; by name where that is equal. */
function inOrder(people: readonly DirectoryPerson[], order: string): readonly DirectoryPerson[] {
  const down = order.startsWith("-");
  const field = (down ? order.slice(1) : order) as FieldId;
  const known: FieldId = fieldId.check(field) === null ? field : "name";
  return people
    .map((each) => ({ each, value: typedValue(each.person, known).trim() }))
    .sort((one, other) => {
      if ((one.value === "") !== (other.value === "")) return one.value === "" ? 1 : -1;
      const compared = collator.compare(one.value, other.value);
      return (down ? -compared : compared) || collator.compare(one.each.person.name, other.each.person.name);
    })
    .map(({ each }) => each);
}

const departmentOf = ({ person }: DirectoryPerson): string => person.department.trim();

/** Whether somebody is in a department: null is all of them, the empty one is of who has none. */
export const isInDepartment = (of: DirectoryPerson, department: string | null): boolean =>
  department === null || departmentOf(of) === department;

/** People who hold what is looked for, as they were typed. */
export async function lookForPeople({
  look,
  department,
  order,
}: PeopleLook): Promise<readonly DirectoryPerson[]> {
  const { typed } = await directory();
  const words = plain(look).split(/\s+/);
  const found = typed.filter(
    (each) => isInDepartment(each, department) && holdsPlain(wordsOf(each.person), words),
  );
  return inOrder(found, order);
}

/** The departments that there are, with how many people are in each; the empty one is of those who have none. */
export async function listDepartments(): Promise<FoundPeople["departments"]> {
  const { typed } = await directory();
  const departments = new Map<string, number>();
  for (const each of typed)
    departments.set(departmentOf(each), (departments.get(departmentOf(each)) ?? 0) + 1);
  return [...departments]
    .map(([name, people]) => ({ name, people }))
    .sort((one, other) => collator.compare(one.name, other.name));
}

export async function findInDirectory(wanted: PeopleLook): Promise<FoundPeople> {
  const [all, found, departments] = await Promise.all([
    countPeople(),
    lookForPeople(wanted),
    listDepartments(),
  ]);
  return { ids: found.map(({ id }) => id), all, departments };
}

/** Those of some people who are in the directory, as they were typed, in the order that they are named in. */
export async function typedPeople(ids: readonly string[]): Promise<readonly DirectoryPerson[]> {
  const { typedById } = await directory();
  return ids.flatMap((id) => typedById.get(id) ?? []);
}

/** The most details of one field that are offered. */
const mostDetails = 100;

/** What people have in a field, each once, what most have first; nothing is told of pictures. */
export async function detailsIn(field: FieldId): Promise<readonly string[]> {
  if (isPictureField(field)) return [];
  const { typed } = await directory();
  const counts = new Map<string, number>();
  for (const { person } of typed) {
    const detail = fieldValue(person, field);
    if (detail !== "") counts.set(detail, (counts.get(detail) ?? 0) + 1);
  }
  return [...counts]
    .sort((one, other) => other[1] - one[1] || collator.compare(one[0], other[0]))
    .slice(0, mostDetails)
    .map(([detail]) => detail);
}

/** What somebody is chosen by, as it is looked through. */
const choiceWords = new WeakMap<Person, { readonly name: string; readonly all: string }>();

function chosenBy(person: Person): { readonly name: string; readonly all: string } {
  const known = choiceWords.get(person);
  if (known) return known;
  const { name, title, department, mail } = person;
  const words = { name: plain(name), all: plain(`${name} ${title} ${department} ${mail}`) };
  choiceWords.set(person, words);
  return words;
}

const toChoice = ({ id, person: { name, title, department } }: DirectoryPerson): PersonChoice => ({
  ...{ id, name, title, department },
});

/** The people whom some letters of a name, title or department mean: those first whose names begin with them. */
export async function choosePeople(look: string, most: number): Promise<readonly PersonChoice[]> {
  const { drawn } = await directory();
  const looked = plain(look.trim());
  return drawn
    .flatMap((each) => {
      const { name, all } = chosenBy(each.person);
      const close = closenessOf(looked, name, all);
      return close === null ? [] : [{ each, close }];
    })
    .sort((one, other) => one.close - other.close)
    .slice(0, most)
    .map(({ each }) => toChoice(each));
}

type AlikeField = "web" | "address" | "organisation";

/** What at least half of the people have alike; empty where they do not. */
export async function usualDetails(): Promise<Readonly<Record<AlikeField, string>>> {
  const { typed } = await directory();
  const usual = (field: AlikeField): string => {
    const counts = new Map<string, number>();
    for (const { person } of typed) counts.set(person[field], (counts.get(person[field]) ?? 0) + 1);
    const [value, count] = [...counts].reduce((most, each) => (each[1] > most[1] ? each : most), ["", 0]);
    return count * 2 >= typed.length ? value : "";
  };
  return { web: usual("web"), address: usual("address"), organisation: usual("organisation") };
}
