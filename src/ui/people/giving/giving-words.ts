/** Who gets what, in words. */
import type { ListedGiven, PersonGiven } from "@/contract";
import type { Because, Purpose } from "@/core/people";
import { formatCount } from "../../parts/format";

export const purposeNames: Readonly<Record<Purpose, string>> = {
  full: "full, for mails that are begun",
  short: "short, for answers",
  occasion: "for an occasion",
};

/** The same in a word. */
export const shortPurpose = (purpose: Purpose): string => purposeNames[purpose].split(",")[0] ?? "";

const becauseWords: Readonly<Record<Because, string>> = {
  everybody: "everybody has it",
  department: "by their department",
  named: "by name",
};

const inWords = new Intl.ListFormat("en", { type: "conjunction" });

const languages = new Intl.DisplayNames("en", { type: "language", fallback: "code" });

/** A language as people call it; its tag where it is none that is known. */
export function languageName(tag: string): string {
  try {
    return languages.of(tag) ?? tag;
  } catch {
    // What a document says may be no tag at all.
    return tag;
  }
}

/** What somebody has a signature for, in which language, and why it is theirs. */
export const givenWords = ({
  purpose,
  language,
  because,
}: Pick<PersonGiven["signatures"][number], "purpose" | "language" | "because">): string =>
  [shortPurpose(purpose), language && languageName(language), becauseWords[because]]
    .filter(Boolean)
    .join(", ");

/** Names that are shown before the rest is counted. */
const shownNames = 4;

/** Whom a signature is for. */
export function whomWords({ audience, named }: Pick<ListedGiven, "audience" | "named">): string {
  if (audience.kind !== "some") return audience.kind === "everybody" ? "everybody" : "nobody yet";
  const said = [
    ...audience.departments.map((name) => name || "who has no department"),
    ...named.map(({ name }) => name ?? "somebody who was taken out"),
  ];
  const more = said.length - shownNames;
  return inWords.format(more > 1 ? [...said.slice(0, shownNames), formatCount(more, "other")] : said);
}
