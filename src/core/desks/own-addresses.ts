/** The addresses that are a person's own: the person's, and that of the department, which all of it share. */
import type { Person } from "../people";

const slug = (text: string): string =>
  text
    .normalize("NFKD")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "");

/** In small letters, the person's own first. A department without Latin letters or digits has none. */
export function ownAddresses({ mail, department }: Pick<Person, "mail" | "department">): readonly string[] {
  const own = mail.toLowerCase();
  const domain = own.slice(own.lastIndexOf("@") + 1);
  const shared = slug(department);
  return own === "" ? [] : shared === "" ? [own] : [...new Set([own, `${shared}@${domain}`])];
}
