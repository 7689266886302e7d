/** Installs: what is recorded of one, and how it stands beside what the signature is now. */
import {
  installForms,
  installUses,
  kitKinds,
  picturePlaces,
  type InstallForm,
  type InstallUse,
  type KitKind,
} from "@/core/install-kinds";
import { longestField, mostNamed } from "@/core/people";
import { choice, count, flag, list, object, tagged, text, words, type TypeOf } from "@/core/values";
import type { FailedFor, Progress } from "./progress";
import type { KeptSighting, ToldSighting } from "./sightings";

/** What somebody says of an install. */
export const newInstall = object({
  /** Of the signature as it was installed. */
  revision: count(1, 1e9),
  form: choice(...installForms),
  kind: choice(...kitKinds),
  account: text(120),
  use: choice(...installUses),
  by: text(120),
  note: text(2000),
});

/** One thing that somebody has to look at: whether it was seen. */
export const installTick = object({
  says: words("What was looked at", 600, "Name what was looked at."),
  seen: flag,
});

export interface Install {
  readonly id: string;
  readonly signatureId: string;
  readonly signatureName: string;
  /** Whose details it has; null where it is nobody's. */
  readonly personName: string | null;
  readonly form: InstallForm;
  readonly revision: number;
  readonly kind: KitKind;
  readonly account: string;
  readonly use: InstallUse;
  readonly by: string;
  readonly note: string;
  /** What was looked at in the real client, in the words of what there is to look at. */
  readonly ticked: readonly string[];
  /** ms since 1970. */
  readonly installedAt: number;
  /** What the signature is otherwise now; null while the install is up to date. */
  readonly changes: readonly string[] | null;
  /** What was not still in the newest screenshot that was compared; null where none was since it was installed. */
  readonly arrived: ToldSighting["parts"] | null;
}

/** An install as it looks, beside the signature as it is now. */
export interface ComparedInstall extends Install {
  readonly before: string;
  readonly after: string;
  readonly base: string;
  /** The newest first. */
  readonly sightings: readonly KeptSighting[];
}

/** Whom kits are made for. A department's name is empty for those without one. */
const kitsWhom = tagged("kind", {
  everybody: {},
  department: { name: text(longestField) },
  /** Those whom the signature is given to. */
  theirs: {},
  chosen: { people: list(text(80), { least: 1, most: mostNamed, what: "people" }) },
});
export type KitsWhom = TypeOf<typeof kitsWhom>;

export const kitsForAll = object({ whom: kitsWhom, pictures: choice(...picturePlaces) });
export type KitsWanted = TypeOf<typeof kitsForAll>;

/** How far the making of kits is, and what came of it. */
export type KitsMade =
  | Progress
  | {
      readonly kind: "made";
      /** What the zip is taken by. */
      readonly file: string;
      readonly bytes: number;
      readonly made: number;
      /** Whose could not be made, and why. */
      readonly failed: readonly FailedFor[];
    };
