import type { Finding } from "@/core/checks";

/** The findings that wait for somebody: what is only good to know waits for nobody. */
export const openFindings = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter(({ severity }) => severity !== "note");
