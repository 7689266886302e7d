"use client";

import Link from "next/link";
import { useMemo } from "react";
import type { CatalogueCut } from "@/contract";
import { publicAddress } from "@/core/addresses";
import { CopyButton } from "../parts/copy-button";
import { formatSize } from "../parts/format";
import { WeightBar } from "../parts/drawing/weight-bar";
import { SortableTable, type Column } from "../parts/table/sortable-table";
import { changeAddress } from "./change-address";
import { UsedIn } from "./used-in";

interface Props {
  readonly caption: string;
  readonly cuts: readonly CatalogueCut[];
  readonly base: string;
  /** The signature that they are listed for. */
  readonly signatureId?: string | undefined;
}

function Address({ cut, base }: { cut: CatalogueCut; base: string }) {
  const address = publicAddress(cut.source, base);
  return (
    <span className="flex items-center gap-1">
      <a
        href={cut.source}
        target="_blank"
        rel="noreferrer"
        title={address}
        className="truncate font-mono text-xs text-pine hover:underline"
      >
        {address}
      </a>
      <CopyButton label={`Copy the address of ${cut.fileName}`} text={address} />
    </span>
  );
}

/** The columns of every table of cuts, and how wide they are. */
const heads = {
  cut: { title: "Cut", width: "w-20" },
  size: { title: "Display size", width: "w-28" },
  weight: { title: "Weight", width: "w-48" },
  address: { title: "Address", width: "min-w-0 flex-1" },
  usedIn: { title: "Used in", width: "w-36" },
} as const;

/** The heads of the tables of cuts under it, said once. Read out, each table says them itself. */
export function CutHeads() {
  return (
    <div aria-hidden className="flex text-xs text-soft">
      {Object.values(heads).map(({ title, width }) => (
        <span key={title} className={`shrink-0 ${width}`}>
          {title}
        </span>
      ))}
    </div>
  );
}

/** Cuts with their sizes, weights, addresses and users; each opens where it can be changed. */
export function CutTable({ caption, cuts, base, signatureId }: Props) {
  const columns = useMemo(
    (): readonly Column<CatalogueCut>[] => [
      {
        title: heads.cut.title,
        width: heads.cut.width,
        className: "py-1.5 pr-3 align-middle",
        cell: (cut) => (
          <Link
            href={changeAddress(cut, signatureId)}
            prefetch={false}
            aria-label={`Change ${cut.fileName}, ${formatSize(cut.width, cut.height)}`}
            className="block w-fit"
          >
            <img
              src={cut.source}
              width={cut.width}
              height={cut.height}
              alt=""
              loading="lazy"
              className="checkered h-11 w-16 object-scale-down"
            />
          </Link>
        ),
      },
      {
        title: heads.size.title,
        width: heads.size.width,
        className: "whitespace-nowrap pr-3 align-middle",
        cell: ({ width, height, needed }) => (
          <>
            {formatSize(width, height)}
            {needed && <span className="block text-xs text-clay">too few pixels</span>}
          </>
        ),
      },
      {
        title: heads.weight.title,
        width: heads.weight.width,
        className: "pr-4 align-middle",
        cell: ({ bytes, use }) => <WeightBar bytes={bytes} use={use} />,
      },
      {
        title: heads.address.title,
        className: "pr-3 align-middle",
        cell: (cut) => <Address cut={cut} base={base} />,
      },
      {
        title: heads.usedIn.title,
        width: heads.usedIn.width,
        className: "text-soft align-middle",
        cell: ({ usedIn }) => <UsedIn names={usedIn} />,
      },
    ],
    [base, signatureId],
  );
  return (
    <SortableTable
      caption={caption}
      rows={cuts}
      keyOf={({ source }) => source}
      columns={columns}
      headsElsewhere
      className="mt-1.5 text-sm"
    />
  );
}
