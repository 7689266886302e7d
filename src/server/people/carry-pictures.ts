/** A photograph that took another's place takes it with people as well, who show the same part of it. */
import type { Original } from "@/contract";
import {
  fieldsOf,
  isPictureField,
  readPictureDetail,
  typedValue,
  writePictureDetail,
  type Person,
  type PersonChange,
} from "@/core/people";
import { carryFocus } from "@/core/pictures";
import { changePeople } from "./change-people";
import { directory } from "./directory";

type Details = Record<string, string>;

function carried(id: string, person: Person, from: Original, to: Original): PersonChange | null {
  const [before, after]: [Details, Details] = [{}, {}];
  for (const field of fieldsOf([person]).filter(isPictureField)) {
    const value = typedValue(person, field);
    const detail = readPictureDetail(value);
    if (detail?.original !== from.hash) continue;
    before[field] = value;
    after[field] = writePictureDetail({ original: to.hash, focus: carryFocus(detail.focus, from, to) });
  }
  return Object.keys(before).length > 0 ? { id, from: before, to: after } : null;
}

/** As one change of the directory, so that it can be taken back. Resolves to how many people it was. */
export async function carryPictures(from: Original, to: Original): Promise<number> {
  const { typed } = await directory();
  const changes = typed.flatMap(({ id, person }) => carried(id, person, from, to) ?? []);
  if (changes.length > 0) await changePeople(changes);
  return changes.length;
}
