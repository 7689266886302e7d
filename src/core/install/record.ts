/** What is kept of an install: which form of a signature is where, and what it is used for. */

export const installForms = ["full", "short"] as const;
export type InstallForm = (typeof installForms)[number];

export const installUses = ["both", "new", "answers"] as const;
/** Under which letters a client puts it. */
export type InstallUse = (typeof installUses)[number];
