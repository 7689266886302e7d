"use client";

/** What is looked for among people, and the department that they are narrowed to, in the address of a page of them. */
import { withoutDepartment, type PeopleLook } from "@/contract";
import { everyDepartment } from "../parts/people/department-choices";
import { useLooking } from "../parts/windowed/use-looking";

export interface LookingForPeople extends ReturnType<typeof useLooking<string>> {
  /** As it is chosen from `departmentChoices`. */
  readonly department: string;
  readonly chooseDepartment: (department: string) => void;
  readonly showAll: () => void;
}

/** `further` is what a page narrows its people to besides, by its name in the address. */
export function useLookingForPeople(
  path: string,
  look: PeopleLook,
  further: Readonly<Record<string, string>> = {},
): LookingForPeople {
  const looking = useLooking({
    ...{ path, look: look.look, order: look.order, usual: "name" },
    narrowed: {
      ...further,
      department: look.department === null ? "" : look.department || withoutDepartment,
    },
  });
  const { narrowed, narrow, type } = looking;
  return {
    ...looking,
    department: narrowed.department || everyDepartment,
    chooseDepartment: (next) => narrow({ ...narrowed, department: next === everyDepartment ? "" : next }),
    showAll: () => {
      narrow({});
      type("");
    },
  };
}
