"use client";

import { ExternalLink, FilePlus, Link2Off } from "lucide-react";
import { useSyncExternalStore } from "react";
import { toast } from "sonner";
import { endpoints, type LetterState, type PersonWithPage } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";
import { Button, buttonClass } from "../../parts/button";
import { CopyButton } from "../../parts/copy-button";
import { formatCount } from "../../parts/format";
import { calledOf } from "../../parts/people/called";
import { PersonLink } from "../person-link";
import { formatDay } from "../../install/installs/install-words";
import { lookedAt } from "../../mine/looked-at";
import { pageAddress } from "@/core/addresses";

interface Props {
  readonly of: PersonWithPage;
  /** The address that people reach Still Line at; empty while nobody has said so. */
  readonly base: string;
}

const unchanging = (): (() => void) => () => undefined;
const useOrigin = (): string =>
  useSyncExternalStore(
    unchanging,
    () => location.origin,
    () => "",
  );

const letterWords = (what: string, { state, at, trouble }: LetterState): string => {
  if (state === "gone") return `${what} on ${formatDay(at)}`;
  return state === "failed"
    ? `not ${what}: ${trouble}`
    : `${what} perhaps: it is not known whether the letter went`;
};

/** How far somebody is: in words, each with its day. */
function stepsOf({ signatures, mail, page, installs, late }: PersonWithPage): readonly string[] {
  if (!page)
    return [
      signatures === 0 ? "no signature is given to them" : mail === "" ? "no mail address" : "no page yet",
    ];
  if (page.withdrawn) return ["withdrawn: nothing is shown at its address"];
  const { server, mailroom } = page.letters;
  return [
    server && letterWords("written to", server),
    mailroom && letterWords("rehearsed", mailroom),
    page.openedAt === null ? "not opened yet" : `opened on ${formatDay(page.openedAt)}`,
    page.copiedAt !== null && `copied on ${formatDay(page.copiedAt)}`,
    installs > 0 && `${formatCount(installs, "install")}${late === 0 ? ", current" : ""}`,
  ].filter((said): said is string => Boolean(said));
}

/** Somebody, how far they are, and what the office does with their page. */
export function PageRow({ of, base }: Props) {
  const refreshing = useRefreshing();
  const origin = useOrigin();
  const { id, name, department, page, signatures, late } = of;
  const called = calledOf(name);
  const address = page && !page.withdrawn ? pageAddress(base || origin, page.secret) : null;
  const make = async (): Promise<void> => {
    const another = page !== null;
    if (await refreshing(() => ask(endpoints.makePage, { params: { id } })))
      toast(another ? `${called} has a page at another address.` : `${called} has a page.`);
  };
  const withdraw = async (): Promise<void> => {
    if (await refreshing(() => ask(endpoints.withdrawPage, { params: { id } })))
      sayRemoved(
        `The page of ${called} is withdrawn. Another one would have another address.`,
        () => void refreshing(() => ask(endpoints.restorePage, { params: { id } })),
      );
  };
  return (
    <div className="grid min-h-[46px] grid-cols-[minmax(0,200px)_minmax(0,130px)_minmax(0,1fr)_auto] items-center gap-x-5 border-b border-hairline py-1">
      <PersonLink id={id} name={name} />
      <p className="truncate text-soft">{department}</p>
      <p className={page && !page.withdrawn ? "" : "text-soft"}>
        {stepsOf(of).join(" · ")}
        {late > 0 && (
          <span className="font-medium text-clay"> · {formatCount(late, "install")} out of date</span>
        )}
      </p>
      <div className="flex items-center justify-end gap-1">
        {address === null ? (
          <Button
            look="quiet"
            disabled={signatures === 0}
            aria-label={`Make a page for ${called}`}
            onClick={() => void make()}
          >
            <FilePlus size={15} aria-hidden />
            {page ? "Make another" : "Make a page"}
          </Button>
        ) : (
          <>
            <CopyButton label={`Copy the address of the page of ${called}`} text={address} />
            <a
              href={`/mine/${page?.secret ?? ""}${lookedAt}`}
              target="_blank"
              rel="noreferrer"
              aria-label={`Open the page of ${called}`}
              title="Open it"
              className={`${buttonClass("quiet")} px-1`}
            >
              <ExternalLink size={15} aria-hidden />
            </a>
            <Button
              look="quiet"
              aria-label={`Withdraw the page of ${called}`}
              onClick={() => void withdraw()}
            >
              <Link2Off size={15} aria-hidden />
              Withdraw
            </Button>
          </>
        )}
      </div>
    </div>
  );
}
