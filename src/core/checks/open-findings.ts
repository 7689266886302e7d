import type { Finding } from "./finding";

/** The findings that wait for somebody: not what is only good to know, nor what is left as it is. */
export const openFindings = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter(({ severity, aside }) => severity !== "note" && aside === undefined);
