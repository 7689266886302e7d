/** The departments of a directory as words to choose from; who has none is among them. */
import { withoutDepartment, type FoundPeople } from "@/contract";

/** All of them, among the choices: no department begins with a space. */
export const everyDepartment = " all";

/** `every` is what all of them are called. */
export const departmentChoices = (
  departments: FoundPeople["departments"],
  every: string,
): Readonly<Record<string, string>> => ({
  [everyDepartment]: every,
  ...Object.fromEntries(
    departments.map(({ name, people }) => [
      name || withoutDepartment,
      `${name || "without a department"} (${people.toLocaleString("en")})`,
    ]),
  ),
});

/** The department that a choice means: null for all, empty for people without one. */
export const chosenDepartment = (choice: string): string | null =>
  choice === everyDepartment ? null : choice === withoutDepartment ? "" : choice;
