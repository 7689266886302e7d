/** Ids of people: what stands in the addresses of their pages, made of their names. */
import { randomBytes } from "node:crypto";

const longest = 40;

/** A name in the letters of an address; empty where it has none of them. */
const written = (name: string): string =>
  name
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .slice(0, longest)
    .replace(/^-+|-+$/g, "");

/**
 * Ids that nobody has, one after the other. An id is never given twice, so that what is kept of somebody who was taken out
 * does not come to another: each ends with letters of chance.
 */
export function freeId(taken: { has(id: string): boolean }): (name: string) => string {
  const given = new Set<string>();
  return (name) => {
    for (;;) {
      const id = `${written(name) || "person"}-${randomBytes(4).toString("hex")}`;
      if (taken.has(id) || given.has(id)) continue;
      given.add(id);
      return id;
    }
  };
}
