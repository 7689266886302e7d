/** The directory as the interface knows it. */
import type { Original } from "./pictures";
import type { DirectoryPerson } from "./signatures";
import { fieldId, ownFieldName, fieldKinds, isNamePart, type ColumnTarget } from "@/core/people";
import { choice, describeValue, list, object, optional, text, type TypeOf } from "@/core/values";

/** Somebody as they stand among those who can be chosen. */
export interface PersonChoice {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly department: string;
}

/** Somebody with the photograph that they have in a field, as the library knows it; null where there is none. */
export interface PersonPortrait extends DirectoryPerson {
  readonly original: Original | null;
}

/** The most people that are offered at a time to whoever chooses one. */
export const mostChoices = 50;

/** What the directory's list is asked for. */
export interface PeopleLook {
  /** Words that somebody's details have to hold; empty for all. */
  readonly look: string;
  /** Null for all of them; empty for people without one. */
  readonly department: string | null;
  /** A field, after a minus sign where its order is turned around. */
  readonly order: string;
}

/** What stands in an address for people without a department: no department begins with a space. */
export const withoutDepartment = " none";

export interface FoundPeople {
  /** Of who was found, in order. */
  readonly ids: readonly string[];
  /** How many there are. */
  readonly all: number;
  /** The departments that there are, with how many are in each. */
  readonly departments: readonly { readonly name: string; readonly people: number }[];
}

export const newOwnField = object({ kind: choice(...fieldKinds), name: ownFieldName });

/** What a column of a list is read as. */
const columnTarget = describeValue<ColumnTarget, "column target">("column target", (value) =>
  typeof value === "string" && isNamePart(value) ? null : fieldId.check(value),
);

/** What was chosen for columns of lists, by their names as they are compared; null for what is left out. */
export const chosenColumns = object({
  columns: list(object({ key: text(120), target: optional(columnTarget) }), { most: 300, what: "columns" }),
});
export type ChosenColumns = TypeOf<typeof chosenColumns>;

/** What the directory is written as. */
export const peopleForms = ["table", "cards"] as const;
