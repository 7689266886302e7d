/** What a person's code to scan holds. */
import type { CodeContent } from "../install-kinds";
import { buildCard, fieldLink, fieldValue, type Person } from "../people";

/** The person's contact card, or the address of their page; null where they have none. */
export function codeOf(of: CodeContent, person: Person | null): string | null {
  if (!person) return null;
  if (of === "card") return fieldValue(person, "name") === "" ? null : buildCard(person);
  const page = fieldLink("web", fieldValue(person, "web"));
  return page === "visit" ? null : page;
}
