/**
 * What installs are told apart by, as data alone: whatever describes a request or a row of the database reads this, and loads
 * none of what writes kits.
 */

export const kitKinds = [
  "webmail",
  "desktop-document",
  "desktop-browser",
  "desktop-open",
  "phone",
  "anything",
] as const;

/** The kind of client that a signature is installed in. */
export type KitKind = (typeof kitKinds)[number];

export const isKitKind = (kind: string): kind is KitKind => (kitKinds as readonly string[]).includes(kind);

/** Where a kit has its pictures: at their public addresses, or in itself. */
export const picturePlaces = ["hosted", "carried"] as const;
export type PicturesIn = (typeof picturePlaces)[number];

export const installForms = ["full", "short"] as const;
/** Which form of a signature it is. */
export type InstallForm = (typeof installForms)[number];

export const installUses = ["both", "new", "answers"] as const;
/** Under which letters a client puts it. */
export type InstallUse = (typeof installUses)[number];

export const codeContents = ["card", "page"] as const;
/** What a code to scan holds of a person. */
export type CodeContent = (typeof codeContents)[number];
