/** Which signatures of the Shelf are shown, and in which order. */
import type { ShelfSignature } from "./shelf-card";

export const orders = {
  changed: "last changed",
  name: "name",
  person: "person",
  findings: "findings",
} as const;
export type Order = keyof typeof orders;

/** As it is searched: without accents and cases. */
const plain = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase();

const words = (html: string): string => html.replace(/<[^>]*>/g, " ").replaceAll("&nbsp;", " ");

/** Whether each word that is looked for stands in the signature's name, its person's or its text. */
function holds({ name, personName, html }: ShelfSignature, looked: string): boolean {
  const text = plain(`${name} ${personName ?? ""} ${words(html)}`);
  return plain(looked)
    .split(/\s+/)
    .every((word) => text.includes(word));
}

const byName = (one: ShelfSignature, other: ShelfSignature): number =>
  one.name.localeCompare(other.name, undefined, { numeric: true });

const comparing: Readonly<Record<Order, (one: ShelfSignature, other: ShelfSignature) => number>> = {
  changed: (one, other) => other.updatedAt - one.updatedAt,
  name: () => 0,
  // Those for nobody stand last.
  person: (one, other) =>
    Number(one.personName === null) - Number(other.personName === null) ||
    (one.personName ?? "").localeCompare(other.personName ?? ""),
  // The worst first.
  findings: (one, other) => other.breaking - one.breaking || other.findings - one.findings,
};

/** The signatures that hold what is looked for, in an order; those that are equal in it by their names. */
export const findSignatures = (
  signatures: readonly ShelfSignature[],
  looked: string,
  order: Order,
): readonly ShelfSignature[] =>
  signatures
    .filter((signature) => holds(signature, looked.trim()))
    .sort((one, other) => comparing[order](one, other) || byName(one, other));
