"use client";

import Link from "next/link";
import { useState } from "react";
import type { Install } from "@/contract";
import { WordSwitch } from "../../parts/fields/word-switch";
import { formatCount } from "../../parts/format";
import { howItCame, whereItIs } from "./install-words";
import { Arrived, OutOfDate, UpToDate } from "./standing";

const filters = { all: "All", late: "Out of date" } as const;

/** Who the installs of a person are listed under; nobody's come last. */
function byPerson(
  installs: readonly Install[],
): readonly (readonly [name: string, own: readonly Install[]])[] {
  const groups = new Map<string, Install[]>();
  for (const install of installs) {
    const name = install.personName ?? "";
    groups.set(name, [...(groups.get(name) ?? []), install]);
  }
  return [...groups].sort(([one], [other]) =>
    one === "" ? 1 : other === "" ? -1 : one.localeCompare(other, "en"),
  );
}

/** All installs by whose they are, with what is out of date in each. */
export function InstallsPage({ installs }: { readonly installs: readonly Install[] }) {
  const [filter, setFilter] = useState<keyof typeof filters>("all");
  const late = installs.filter(({ changes }) => changes !== null);
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Installs</h1>
        <p className="pb-1.5 text-soft">
          {formatCount(installs.length, "install")} · {late.length} out of date
        </p>
        {installs.length > 0 && (
          <div className="ml-auto pb-1.5">
            <WordSwitch label="Which installs" value={filter} choices={filters} onChange={setFilter} />
          </div>
        )}
      </div>
      {installs.length === 0 ? (
        <div className="border-t border-pine py-16 text-center">
          <p className="font-serif text-2xl">Nothing is installed yet, that is recorded</p>
          <p className="mt-2 text-soft">
            Open a signature, follow the steps of its Install station, and press “It is installed”.
          </p>
        </div>
      ) : filter === "late" && late.length === 0 ? (
        <p className="border-t border-pine py-10 text-center text-soft">All installs are up to date.</p>
      ) : (
        byPerson(filter === "late" ? late : installs).map(([name, own]) => (
          <section
            key={name}
            aria-label={name || "Nobody’s"}
            className="grid gap-x-8 border-t border-pine py-2 md:grid-cols-[220px_minmax(0,1fr)]"
          >
            <h2 className="font-serif text-lg">{name || "Nobody’s"}</h2>
            <ul>
              {own.map((install) => (
                <InstallRow key={install.id} install={install} />
              ))}
            </ul>
          </section>
        ))
      )}
    </main>
  );
}

function InstallRow({ install }: { readonly install: Install }) {
  const { id, changes, signatureName, arrived } = install;
  return (
    <li className="grid items-start gap-x-6 border-b border-hairline py-1.5 last:border-0 md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <div>
        <Link href={`/installs/${id}`} prefetch={false} className="rounded-sm font-medium hover:text-pine">
          {whereItIs(install)}
        </Link>
        <p className="text-xs text-soft">
          “{signatureName}”. {howItCame(install)}
        </p>
        {arrived && (
          <p className="text-xs">
            <Arrived unstill={arrived} />
          </p>
        )}
      </div>
      {changes === null ? (
        <UpToDate />
      ) : (
        <div className="text-sm">
          <OutOfDate />
          {changes.slice(0, 3).map((change) => (
            <p key={change} className="[overflow-wrap:anywhere]">
              {change}
            </p>
          ))}
          {changes.length > 3 && <p className="text-soft">and {changes.length - 3} more</p>}
        </div>
      )}
    </li>
  );
}
