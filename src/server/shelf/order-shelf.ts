/** Which of the signatures are shown, and in which order. */
import type { ShelfOrder } from "@/contract";
import { holdsWords, plain } from "./words";

/** What a signature is looked for by. */
export interface OnShelf {
  readonly id: string;
  readonly name: string;
  readonly personName: string | null;
  /** What is written in it, for its person. */
  readonly words: string;
  /** ms since 1970. */
  readonly updatedAt: number;
  readonly findings: number;
  readonly breaking: number;
}

/** 0 for one whose name is what is looked for, 1 where its name holds all of it, 2 where that takes its person and text; else null. */
function closeness({ name, personName, words }: OnShelf, looked: string): number | null {
  if (plain(name) === plain(looked)) return 0;
  if (holdsWords(name, looked)) return 1;
  return holdsWords(`${name} ${personName ?? ""} ${words}`, looked) ? 2 : null;
}

const byName = (one: OnShelf, other: OnShelf): number =>
  one.name.localeCompare(other.name, undefined, { numeric: true });

const comparing: Readonly<Record<ShelfOrder, (one: OnShelf, other: OnShelf) => number>> = {
  changed: (one, other) => other.updatedAt - one.updatedAt,
  name: () => 0,
  // Those for nobody stand last.
  person: (one, other) =>
    Number(one.personName === null) - Number(other.personName === null) ||
    (one.personName ?? "").localeCompare(other.personName ?? ""),
  // The worst first.
  findings: (one, other) => other.breaking - one.breaking || other.findings - one.findings,
};

/**
 * The signatures that hold what is looked for, in an order; those that are equal in it by their names. In the order of changes,
 * which nobody has to have chosen, those come first whose names are what is looked for.
 */
export function orderShelf(
  signatures: readonly OnShelf[],
  looked: string,
  order: ShelfOrder,
): readonly OnShelf[] {
  const found = signatures.flatMap((signature) => {
    const close = closeness(signature, looked.trim());
    return close === null ? [] : [{ signature, close: order === "changed" ? close : 0 }];
  });
  return found
    .sort(
      (one, other) =>
        one.close - other.close ||
        comparing[order](one.signature, other.signature) ||
        byName(one.signature, other.signature),
    )
    .map(({ signature }) => signature);
}
