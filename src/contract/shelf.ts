/** The Shelf as the interface knows it: what is found on it, and its cards. */
import type { Stillness } from "./signatures";

/** In what order signatures stand. */
export const shelfOrders = ["changed", "name", "person", "findings"] as const;
export type ShelfOrder = (typeof shelfOrders)[number];

/** The most letters that are looked for. */
export const longestSearch = 200;

/** The most cards or entries that are asked for at a time. */
export const mostAtOnce = 40;

/** A signature as its card shows it. */
export interface ShelfCard {
  readonly id: string;
  readonly name: string;
  readonly personName: string | null;
  /** Its HTML for pasting into webmail. */
  readonly html: string;
  readonly base: string;
  /** Bytes of its pictures. */
  readonly weight: number;
  readonly findings: number;
  /** In how many proofs it is still; null while it has not been measured as it is. */
  readonly stillness: Stillness | null;
  /** How many of the findings will fail for a recipient. */
  readonly breaking: number;
  /** How many of its installs are out of date. */
  readonly lateInstalls: number;
}
