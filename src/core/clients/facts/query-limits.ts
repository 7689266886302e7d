/** What limits on media queries do, each under the sentence that tells it. */
import { wordTable } from "../../values";

export interface MediaQuery {
  /** What stands between `@media` and the brace, in small letters. */
  readonly condition: string;
  /** Whether it stands inside another one. */
  readonly nested: boolean;
}

/** Null where the limit does not touch it; or another condition in its place. */
export type QueryLimit = (query: MediaQuery) => null | "dropped" | { readonly condition: string };

const dropIf =
  (when: (query: MediaQuery) => boolean): QueryLimit =>
  (query) =>
    when(query) ? "dropped" : null;

const always = dropIf(() => true);

/** Words of a condition; media types and features stand among them, as do their values. */
const wordsOf = (condition: string): readonly string[] =>
  condition.split(/[^a-z-]+/).filter((word) => word !== "");

const known = new Set([
  "screen",
  "all",
  "only",
  "and",
  "px",
  "em",
  "min-width",
  "max-width",
  "min-height",
  "max-height",
]);

export const queryLimits = wordTable<QueryLimit>({
  "The condition is taken out of the query, which leaves empty brackets.": ({ condition }) =>
    condition.includes("prefers-color-scheme") ? { condition: "()" } : null,
  "A media query inside another media query is taken out.": dropIf(({ nested }) => nested),
  "A media query inside another media query has no effect.": dropIf(({ nested }) => nested),
  "Queries may use only screen, min-width, max-width, min-height and max-height; any other query does not work.":
    dropIf(({ condition }) => wordsOf(condition).some((word) => !known.has(word))),
  "Queries on height do not work.": dropIf(({ condition }) => /\bheight\b/.test(condition)),
  "A query for landscape orientation does not work.": dropIf(({ condition }) =>
    condition.includes("landscape"),
  ),
  "No media query works in accounts with another provider.": always,
  "No media query works in accounts with another provider, here the one behind the office suite.": always,
});
