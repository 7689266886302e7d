/** The directory as a file. */
import type { PeopleLook } from "@/contract";
import { buildWholeCard, fieldValue, wordFieldNames, wordFields, writeSheet } from "@/core/people";
import { lookForPeople } from "./find-people";
import { listOwnFields } from "./own-fields";

export interface PeopleFile {
  readonly name: string;
  readonly type: string;
  readonly text: string;
}

/** Those who are found, in the order in which they are listed. */
export async function exportPeople(form: "table" | "cards", wanted: PeopleLook): Promise<PeopleFile> {
  const people = (await lookForPeople(wanted)).map(({ person }) => person);
  if (form === "table")
    return {
      ...{ name: "people.csv", type: "text/csv; charset=utf-8" },
      text: writeSheet(people, [...wordFieldNames, ...wordFields(await listOwnFields())]),
    };
  // A card has to be somebody's.
  const named = people.filter(
    (person) => fieldValue(person, "name") !== "" || fieldValue(person, "mail") !== "",
  );
  return {
    ...{ name: "people.vcf", type: "text/vcard; charset=utf-8" },
    text: named.map(buildWholeCard).join(""),
  };
}
