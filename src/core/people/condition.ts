/** Of whom something is said: of those whose field is filled, is empty, or holds one of some details. */
import { choice, list, object, text, type TypeOf } from "../values";
import { fieldId, fieldValue, type Person } from "./fields";
import { longestField } from "./read-person";

export const conditionTests = ["filled", "empty", "one of", "none of"] as const;
export type ConditionTest = (typeof conditionTests)[number];

/** A department or a place is a field like any other. Details are listed for "one of" and "none of". */
export const condition = object({
  field: fieldId,
  is: choice(...conditionTests),
  details: list(text(longestField), { most: 100, what: "details" }),
});
export type Condition = TypeOf<typeof condition>;

const plain = (detail: string): string => detail.trim().toLocaleLowerCase("en");

/** Whether somebody's details are as a condition says. Case and the space around a detail tell nothing apart. */
export function meets(person: Person, { field, is, details }: Condition): boolean {
  const value = plain(fieldValue(person, field));
  const listed = (): boolean => details.some((detail) => plain(detail) === value);
  const met: Readonly<Record<ConditionTest, () => boolean>> = {
    filled: () => value !== "",
    empty: () => value === "",
    "one of": listed,
    "none of": () => !listed(),
  };
  return met[is]();
}
