/** Installs: what is recorded of one, and how it stands beside what the signature is now. */
import {
  installForms,
  installUses,
  kitKinds,
  type InstallForm,
  type InstallUse,
  type KitKind,
} from "@/core/install";
import { choice, count, list, maybe, object, text, words } from "@/core/values";

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

export const installPatch = object({
  account: maybe(text(120)),
  use: maybe(choice(...installUses)),
  by: maybe(text(120)),
  note: maybe(text(2000)),
  ticked: maybe(
    list(words("What was looked at", 300, "Name what was looked at."), { most: 100, what: "ticks" }),
  ),
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
  readonly ticked: readonly string[];
  /** ms since 1970. */
  readonly installedAt: number;
  /** What the signature is otherwise now; null while the install is up to date. */
  readonly changes: readonly string[] | null;
}

/** An install as it looks, beside the signature as it is now. */
export interface ComparedInstall extends Install {
  readonly before: string;
  readonly after: string;
  readonly base: string;
}
