"use client";

import { Link2, RefreshCw, Trash2 } from "lucide-react";
import Link from "next/link";
import { useId, useState } from "react";
import type { Install } from "@/contract";
import type { ToLookAt } from "@/core/install";
import type { InstallForm, KitKind } from "@/core/install-kinds";
import { Button } from "../../parts/button";
import { IconButton } from "../../parts/icon-button";
import { lazily } from "../../parts/lazily";
import { formatCount } from "../../parts/format";
import { howItCame, whereItIs } from "./install-words";
import { Arrived, OutOfDate, UpToDate } from "./standing";
import { useInstallActions, type InstallActions } from "./use-install-actions";

const comparison = lazily(() => import("./compare-dialog").then(({ CompareDialog }) => CompareDialog));

/** An install with what somebody has to look at in it. */
export interface ListedInstall {
  readonly install: Install;
  readonly toLookAt: readonly ToLookAt[];
}

interface Props {
  readonly installs: readonly ListedInstall[];
  readonly revision: number;
  /** Shows the steps and the kit of a kind. */
  readonly onPrepare: (kind: KitKind, form: InstallForm) => void;
}

/** Where the signature is installed, and which of it is out of date. */
export function InstallList({ installs, revision, onPrepare }: Props) {
  const actions = useInstallActions();
  const late = installs.filter(({ install }) => install.changes !== null).length;
  return (
    <section aria-labelledby="installs" className="mt-8">
      <h2 id="installs" className="font-serif text-2xl">
        Where it is
      </h2>
      <p className="mb-2 text-soft">
        {installs.length === 0
          ? "Nowhere yet, that is recorded. Follow the steps, and press “It is installed”."
          : late === 0
            ? `${formatCount(installs.length, "install")}, all up to date.`
            : `${formatCount(late, "install")} of ${installs.length} out of date.`}
      </p>
      <ul>
        {installs.map((listed) => (
          <InstallEntry
            key={listed.install.id}
            listed={listed}
            revision={revision}
            actions={actions}
            onPrepare={onPrepare}
          />
        ))}
      </ul>
    </section>
  );
}

interface EntryProps {
  readonly listed: ListedInstall;
  readonly revision: number;
  readonly actions: InstallActions;
  readonly onPrepare: Props["onPrepare"];
}

function InstallEntry({ listed: { install, toLookAt }, revision, actions, onPrepare }: EntryProps) {
  const { changes, kind, form, note, arrived } = install;
  const [comparing, setComparing] = useState(false);
  const named = whereItIs(install);
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex items-start gap-2">
        <div className="min-w-0 grow">
          <h3 className="text-sm font-medium [overflow-wrap:anywhere]">{named}</h3>
          <p className="text-xs text-soft">{howItCame(install)}</p>
          {note !== "" && <p className="text-xs text-soft [overflow-wrap:anywhere]">{note}</p>}
        </div>
        <IconButton label={`Copy the link for ${named}`} onClick={() => actions.copyLink(install)}>
          <Link2 size={15} aria-hidden />
        </IconButton>
        <IconButton label={`Remove the record of ${named}`} onClick={() => void actions.remove(install)}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      {changes === null ? (
        <UpToDate />
      ) : (
        <>
          <div className="flex items-baseline justify-between">
            <OutOfDate />
            <button
              type="button"
              aria-label={`Compare ${named}`}
              className="rounded-sm text-sm underline hover:text-pine"
              onClick={() => setComparing(true)}
            >
              Compare
            </button>
          </div>
          <ul className="mt-0.5 list-disc space-y-0.5 pl-4 text-sm">
            {changes.map((change) => (
              <li key={change} className="[overflow-wrap:anywhere]">
                {change}
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => onPrepare(kind, form)}>
              <RefreshCw size={15} aria-hidden />
              Prepare the update
            </Button>
            <Button onClick={() => void actions.renew(install, revision)}>It is updated</Button>
          </div>
        </>
      )}
      <p className="mt-1 text-sm">
        {arrived && <Arrived unstill={arrived} />}
        <Link
          href={`/installs/${install.id}#arrived`}
          prefetch={false}
          aria-label={`Compare ${named} with a screenshot`}
          className="rounded-sm underline hover:text-pine"
        >
          {arrived ? "Look" : "Compare with a screenshot"}
        </Link>
      </p>
      {/* Nothing is looked at yet in what was just brought up to date. */}
      <LookedAt key={install.installedAt} install={install} toLookAt={toLookAt} actions={actions} />
      {comparing && <comparison.Component id={install.id} onClose={() => setComparing(false)} />}
    </li>
  );
}

/** What a person has to look at in the real client, to be ticked. */
function LookedAt({
  install,
  toLookAt,
  actions,
}: Pick<EntryProps, "actions"> & { readonly install: Install; readonly toLookAt: readonly ToLookAt[] }) {
  // Shown at once; what is kept follows.
  const [ticked, setTicked] = useState<ReadonlySet<string>>(() => new Set(install.ticked));
  const title = useId();
  const done = toLookAt.filter(({ says }) => ticked.has(says)).length;
  const places = [...new Set(toLookAt.map(({ where }) => where))];
  const show = (says: string, seen: boolean): void =>
    setTicked((before) => {
      const next = new Set(before);
      if (seen) next.add(says);
      else next.delete(says);
      return next;
    });
  const set = async (says: string, seen: boolean): Promise<void> => {
    show(says, seen);
    if (!(await actions.tick(install, says, seen))) show(says, !seen);
  };
  return (
    <details className="mt-1">
      <summary id={title} className="cursor-pointer rounded-sm text-sm">
        Did it go right? {done} of {toLookAt.length} looked at
      </summary>
      <div role="group" aria-labelledby={title} className="pt-1">
        {places.map((place) => (
          <div key={place} className="pb-1.5">
            <p className="text-xs text-soft first-letter:uppercase">{place}</p>
            {toLookAt
              .filter(({ where }) => where === place)
              .map(({ says }) => (
                <label key={says} className="flex items-start gap-2 py-0.5 text-sm">
                  <input
                    type="checkbox"
                    checked={ticked.has(says)}
                    onChange={(event) => void set(says, event.target.checked)}
                    className="mt-1 shrink-0 accent-pine"
                  />
                  <span className="min-w-0 [overflow-wrap:anywhere]">{says}</span>
                </label>
              ))}
          </div>
        ))}
      </div>
    </details>
  );
}
