import type { NoteGroup } from "@/core/importing";

const words = { lost: "Left out", changed: "Held in another way" } as const;

const placesOf = ({ places }: NoteGroup): string => {
  const distinct = [...new Set(places)];
  const shown = distinct.slice(0, 2).join("; ");
  return distinct.length > 2 ? `${shown}; and ${distinct.length - 2} more places` : shown;
};

interface ListProps {
  readonly outcome: NoteGroup["outcome"];
  readonly groups: readonly NoteGroup[];
}

function NoteList({ outcome, groups }: ListProps) {
  const own = groups.filter((group) => group.outcome === outcome);
  if (own.length === 0) return null;
  return (
    <section aria-label={words[outcome]}>
      <h3 className="flex items-baseline gap-2 border-b border-hairline pb-1 font-serif text-lg">
        {words[outcome]}
        <span className="font-sans text-sm text-soft">{own.length}</span>
      </h3>
      <ul>
        {own.map((group) => (
          <li
            key={`${group.code}${group.what}${group.reason}`}
            className="border-b border-hairline py-1.5 text-sm"
          >
            <p className="break-words">
              <span className={outcome === "lost" ? "text-clay" : ""}>{group.what}</span>
              <span className="text-soft"> · {group.reason}</span>
            </p>
            {placesOf(group) !== "message" && <p className="text-xs text-soft">{placesOf(group)}</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What became of each thing that a signature cannot hold as it was, what is lost first. */
export function ImportReport({ groups }: { readonly groups: readonly NoteGroup[] }) {
  if (groups.length === 0)
    return <p className="text-sm text-soft">Everything is held as it was: nothing was left out.</p>;
  return (
    <div className="grid gap-4">
      <NoteList outcome="lost" groups={groups} />
      <NoteList outcome="changed" groups={groups} />
    </div>
  );
}
