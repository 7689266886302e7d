"use client";

import { formatDistanceToNowStrict } from "date-fns";
import { ExternalLink } from "lucide-react";
import type { Node } from "prosemirror-model";
import { drawnFrom } from "@/contract";
import { describeLink, type LinkAnswer } from "@/core/links";
import { placeOf, type PlacedLink } from "@/core/signature";
import { AddressCell } from "./address-cell";
import { AnswerWords } from "./answer-words";

interface Props {
  readonly document: Node;
  readonly links: readonly PlacedLink[];
  readonly answers: Readonly<Record<string, LinkAnswer>>;
  readonly waiting: ReadonlySet<string> | null;
  /** When each address was last opened by hand; ms since 1970. */
  readonly opened: Readonly<Record<string, number>>;
  readonly callingCode: string | null;
  readonly onOpen: (link: PlacedLink) => void;
  readonly onChange: (link: PlacedLink, href: string) => void;
}

const isWeb = (href: string): boolean => /^https?:\/\//i.test(href);

/** Pictures are shown as they are, text as it reads. */
function WhatLeads({ link }: { link: PlacedLink }) {
  const said = link.text.trim();
  return (
    <span className="flex min-w-0 items-center gap-2">
      {link.source && (
        // The hosted file itself, as recipients get it.
        <img
          src={drawnFrom(link.source)}
          alt=""
          className="h-6 max-w-14 shrink-0 rounded-[2px] bg-canvas object-contain"
        />
      )}
      <span className="truncate" title={said}>
        {said || <em className="text-clay not-italic">no alt text</em>}
      </span>
    </span>
  );
}

/** Every destination in reading order. */
export function LinkTable({
  document,
  links,
  answers,
  waiting,
  opened,
  callingCode,
  onOpen,
  onChange,
}: Props) {
  return (
    <table className="w-full table-fixed border-t border-pine">
      <caption className="sr-only">Every destination, in reading order</caption>
      <thead>
        <tr className="text-left text-xs text-soft">
          <th className="w-[26%] py-1.5 font-normal">What leads there</th>
          <th className="w-[11%] font-normal">Kind</th>
          <th className="font-normal">Address</th>
          <th className="w-[18%] font-normal">What answered</th>
          <th className="w-[14%] font-normal">Opened by hand</th>
        </tr>
      </thead>
      <tbody>
        {links.map((link) => {
          const { kind, detail } = describeLink(link.href);
          const answer = answers[link.href];
          const seen = opened[link.href];
          return (
            <tr key={`${link.position}-${link.use}`} className="border-t border-hairline align-top">
              <td className="py-2 pr-4">
                <WhatLeads link={link} />
                <span className="block truncate text-xs text-soft">
                  {link.use === "field" ? "a field, links itself" : placeOf(document, link.position)}
                </span>
              </td>
              <td className="py-2 pr-2">{kind}</td>
              <td className="py-2 pr-4">
                <AddressCell link={link} callingCode={callingCode} onChange={onChange} />
                {detail && <span className="block truncate text-xs text-soft">{detail}</span>}
              </td>
              <td className="py-2 pr-3">
                {waiting?.has(link.href) ? (
                  <span className="flex items-center gap-1.5 text-soft">
                    <span aria-hidden className="h-2 w-2 shrink-0 rounded-full border border-soft" />
                    Waiting…
                  </span>
                ) : answer ? (
                  <AnswerWords answer={answer} />
                ) : (
                  <span className="text-soft">{isWeb(link.href) ? "not walked yet" : "—"}</span>
                )}
              </td>
              <td className="py-1.5">
                <button
                  type="button"
                  onClick={() => onOpen(link)}
                  aria-label={`Open ${link.text.trim() || link.href}`}
                  className="inline-flex items-center gap-1.5 rounded-sm px-1.5 py-0.5 hover:bg-kelp"
                >
                  <ExternalLink size={14} aria-hidden className="text-pine" />
                  <span className={seen ? "" : "text-soft"}>
                    {seen ? `${formatDistanceToNowStrict(seen)} ago` : "never"}
                  </span>
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
