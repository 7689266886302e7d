/** Findings that somebody leaves as they are, with the reason: kept with the signature. */
import type { Found } from "./finding";

/** The reason of each, by what was found. */
export type Asides = Readonly<Record<string, string>>;

/**
 * What is set aside is what was said, wherever it stands: the same of another text, or with other numbers, is found anew.
 */
export const asideKey = ({ code, message }: Pick<Found, "code" | "message">): string => `${code}: ${message}`;

/** With the reason of one more, or without that one where the reason is null. */
export const withAside = (
  asides: Asides,
  finding: Pick<Found, "code" | "message">,
  reason: string | null,
): Asides => {
  const key = asideKey(finding);
  const others = Object.entries(asides).filter(([each]) => each !== key);
  return Object.fromEntries(reason === null ? others : [...others, [key, reason]]);
};
