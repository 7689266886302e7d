/** What the log is told: one line a fault, which names no content. */

/** Writes a sentence as one line. */
export const sayFault = (sentence: string): void => {
  process.stderr.write(`${sentence.replaceAll(/\s+/g, " ").trim()}\n`);
};
