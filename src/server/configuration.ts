/** Where things are, from the environment. */
import path from "node:path";

/** The folder that holds the database and the pictures. */
export const dataFolder = (): string =>
  path.resolve(/*turbopackIgnore: true*/ process.env.STILL_LINE_DATA || ".still-line");

/**
 * The public address under which recipients find the pictures. Until one is set, the application's own, which
 * only this machine reaches; that is a finding.
 */
export const publicBase = (): string =>
  (process.env.STILL_LINE_PUBLIC_URL || `http://127.0.0.1:${process.env.PORT || "4310"}`).replace(/\/+$/, "");
