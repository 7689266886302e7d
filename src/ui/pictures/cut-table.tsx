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

/** Cuts with their sizes, weights, addresses and users; each opens where it can be changed. */
export function CutTable({ caption, cuts, base, signatureId }: Props) {
  const columns = useMemo((): readonly Column<CatalogueCut>[] => {
    /** A single cut is in every order already. */
    const ordered = (order: NonNullable<Column<CatalogueCut>["order"]>) => (cuts.length > 1 ? { order } : {});
    return [
      {
        title: "Cut",
        width: "w-20",
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
        title: "Display size",
        width: "w-28",
        className: "whitespace-nowrap pr-3 align-middle",
        ...ordered(({ width, height }) => width * height),
        cell: ({ width, height, needed }) => (
          <>
            {formatSize(width, height)}
            {needed && <span className="block text-xs text-clay">too few pixels</span>}
          </>
        ),
      },
      {
        title: "Weight",
        width: "w-48",
        className: "pr-4 align-middle",
        ...ordered(({ bytes }) => bytes),
        cell: ({ bytes, use }) => <WeightBar bytes={bytes} use={use} />,
      },
      {
        title: "Address",
        className: "pr-3 align-middle",
        ...ordered(({ fileName }) => fileName),
        cell: (cut) => <Address cut={cut} base={base} />,
      },
      {
        title: "Used in",
        width: "w-36",
        className: "text-soft align-middle",
        ...ordered(({ usedIn }) => usedIn.join(", ") || undefined),
        cell: ({ usedIn }) => (usedIn.length === 0 ? "not used" : usedIn.join(", ")),
      },
    ];
  }, [cuts.length, base, signatureId]);
  return (
    <SortableTable
      caption={caption}
      rows={cuts}
      keyOf={({ source }) => source}
      columns={columns}
      className="mt-1.5 text-sm"
    />
  );
}
