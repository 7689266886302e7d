/** What became of imported HTML, in a word: the whole is in the report. */
import type { NoteGroup } from "@/core/importing";

const listed = (names: readonly string[]): string => {
  const shown = names.slice(0, 3);
  const more = names.length - shown.length;
  return `${shown.join(", ")}${more > 0 ? ` and ${more} more` : ""}`;
};

/** "Left out: a:hover, box-shadow. Held in another way: a list." Empty where everything is as it was. */
export function inShort(groups: readonly NoteGroup[]): string {
  const of = (outcome: NoteGroup["outcome"]): readonly string[] => [
    ...new Set(groups.filter((group) => group.outcome === outcome).map(({ what }) => what)),
  ];
  const [lost, changed] = [of("lost"), of("changed")];
  return [
    lost.length > 0 ? `Left out: ${listed(lost)}.` : "",
    changed.length > 0 ? `Held in another way: ${listed(changed)}.` : "",
  ]
    .filter((sentence) => sentence)
    .join(" ");
}
