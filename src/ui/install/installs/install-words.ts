/** How installs are told of. */
import { format } from "date-fns";
import type { Install } from "@/contract";
import type { InstallUse } from "@/core/install-kinds";
import { installKinds } from "../kinds";

export const useNames: Readonly<Record<InstallUse, string>> = {
  both: "All letters",
  new: "New letters",
  answers: "Answers",
};

const under: Readonly<Record<InstallUse, string>> = {
  both: "under all letters",
  new: "under new letters",
  answers: "under answers",
};

/** "Webmail, under new letters". */
export const whereItIs = ({ kind, use, account }: Install): string =>
  `${account === "" ? installKinds[kind].name : `${account} (${installKinds[kind].name.toLowerCase()})`}, ${under[use]}`;

export const formatDay = (at: number): string => format(at, "d MMMM yyyy");

/** "Version 3 for Tamsin Okafor, by Ada on 12 March 2026". */
export function howItCame({ revision, form, personName, by, installedAt }: Install): string {
  const version = `Version ${revision}${form === "short" ? ", for replies" : ""}`;
  return [
    `${version}${personName === null ? "" : ` for ${personName}`}`,
    `${by === "" ? "" : `by ${by} `}on ${formatDay(installedAt)}`,
  ].join(", ");
}
