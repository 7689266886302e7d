/** The originals that people of the directory have in their fields. */
import type { PersonPortrait } from "@/contract";
import { fieldsOf, isPictureField, readPictureDetail, typedValue, type Person } from "@/core/people";
import { findOriginals } from "../pictures/originals";
import { directory } from "./directory";
import { typedPeople } from "./find-people";

/** Their content hashes. */
export async function picturesOfPeople(): Promise<ReadonlySet<string>> {
  const { typed } = await directory();
  return new Set(
    typed.flatMap(({ person }) =>
      fieldsOf([person])
        .filter(isPictureField)
        .flatMap((field) => readPictureDetail(typedValue(person, field))?.original ?? []),
    ),
  );
}

/** Those of some people who are in the directory, with their portraits, in the order that they are named in. */
export async function portraitsOf(ids: readonly string[]): Promise<readonly PersonPortrait[]> {
  const people = await typedPeople(ids);
  const hashOf = ({ portrait }: Person): string => readPictureDetail(portrait)?.original ?? "";
  const known = await findOriginals(people.map(({ person }) => hashOf(person)).filter((hash) => hash !== ""));
  return people.map((each) => ({ ...each, original: known.get(hashOf(each.person)) ?? null }));
}

/** How many people of the directory have a portrait. */
export const countPortraits = async (): Promise<number> =>
  (await directory()).typed.filter(({ person }) => person.portrait !== "").length;
