/**
 * What the log is told: one line a fault. What people typed is never in it: an error of the database carries every value of its
 * query, whole documents among them, so that of those only the query is written.
 */

const longest = 300;

/** Writes a sentence as one line. */
export const sayFault = (sentence: string): void => {
  process.stderr.write(`${sentence.replaceAll(/\s+/g, " ").trim()}\n`);
};

const short = (text: string): string => (text.length > longest ? `${text.slice(0, longest)}…` : text);

/** The places of an error's own stack, without the message, which may span many lines. */
const placesIn = (stack: string): string =>
  stack
    .split("\n")
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6)
    .map((line) => line.trim())
    .join(" ");

/** An error as a line, without the values that it carries. */
export function describeFault(error: unknown): string {
  if (!(error instanceof Error)) return short(String(error));
  const { query } = error as { query?: unknown };
  const code = (error as { code?: unknown }).code;
  const said = typeof query === "string" ? `a query failed: ${short(query)}` : short(error.message);
  const cause = error.cause === undefined ? "" : `, because of ${describeFault(error.cause)}`;
  const coded = typeof code === "string" ? ` (${code})` : "";
  return `${error.name}${coded}: ${said}${cause} ${placesIn(error.stack ?? "")}`.trim();
}

/** What the innermost of an error's causes says, which is what the system or the database said; null where there is none. */
export function rootOf(error: unknown): string | null {
  let [at, said]: [unknown, string | null] = [error, null];
  for (let depth = 0; depth < 8 && at instanceof Error; depth += 1) {
    said = short(at.message);
    at = at.cause;
  }
  return said;
}
