"use client";

import { formatDistanceToNowStrict } from "date-fns";
import { ExternalLink } from "lucide-react";
import type { Node } from "prosemirror-model";
import { useMemo } from "react";
import { drawnFrom } from "@/contract";
import { describeLink, type DescribedLink, type LinkAnswer } from "@/core/links";
import { ownLinkLooks, placeOf, type PlacedLink } from "@/core/signature";
import { SortableTable, type Column } from "../parts/table/sortable-table";
import { AddressCell } from "./address-cell";
import { AnswerWords } from "../parts/walking/answer-words";

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

interface Row {
  readonly link: PlacedLink;
  readonly described: DescribedLink;
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

/** That a link is not drawn as all are. */
function OwnLook({ color }: { color: string | null | undefined }) {
  if (color === undefined) return null;
  return (
    <>
      {color && (
        <span
          aria-hidden
          className="h-2.5 w-2.5 shrink-0 rounded-[2px] border border-hairline"
          style={{ background: color }}
        />
      )}
      <span>{color ? "a colour of its own" : "an underline of its own"}</span>
    </>
  );
}

/** Every destination, in reading order unless it is put in another. */
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
  const looks = useMemo(() => ownLinkLooks(document), [document]);
  const columns = useMemo(
    (): readonly Column<Row>[] => [
      {
        title: "What leads there",
        width: "w-[26%]",
        className: "py-2 pr-4",
        order: ({ link }) => link.text.trim() || undefined,
        cell: ({ link }) => (
          <>
            <WhatLeads link={link} />
            <span className="flex items-center gap-1.5 truncate text-xs text-soft">
              {link.use === "field" ? "a field, links itself" : placeOf(document, link.position)}
              <OwnLook color={looks.get(link.position)} />
            </span>
          </>
        ),
      },
      {
        title: "Kind",
        width: "w-[11%]",
        className: "py-2 pr-2",
        order: ({ described }) => described.kind,
        cell: ({ described }) => described.kind,
      },
      {
        title: "Address",
        className: "py-2 pr-4",
        order: ({ described }) => described.shown,
        cell: ({ link, described: { shown, detail } }) => (
          <>
            <AddressCell link={link} shown={shown} callingCode={callingCode} onChange={onChange} />
            {detail && <span className="block truncate text-xs text-soft">{detail}</span>}
          </>
        ),
      },
      {
        title: "What answered",
        width: "w-[18%]",
        className: "py-2 pr-3",
        order: ({ link: { href } }) => answers[href]?.verdict,
        cell: ({ link: { href } }) => {
          const answer = answers[href];
          if (waiting?.has(href))
            return (
              <span className="flex items-center gap-1.5 text-soft">
                <span aria-hidden className="h-2 w-2 shrink-0 rounded-full border border-soft" />
                Waiting…
              </span>
            );
          if (answer) return <AnswerWords answer={answer} />;
          return <span className="text-soft">{isWeb(href) ? "not walked yet" : "—"}</span>;
        },
      },
      {
        title: "Opened by hand",
        width: "w-[14%]",
        className: "py-1.5",
        order: ({ link: { href } }) => opened[href],
        cell: ({ link }) => {
          const seen = opened[link.href];
          return (
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
          );
        },
      },
    ],
    [document, looks, answers, waiting, opened, callingCode, onOpen, onChange],
  );
  const rows = useMemo(
    () => links.map((link): Row => ({ link, described: describeLink(link.href) })),
    [links],
  );
  return (
    <SortableTable
      caption="Every destination"
      rows={rows}
      keyOf={({ link: { position, use } }) => `${position}-${use}`}
      columns={columns}
      className="border-t border-pine"
    />
  );
}
