import Link from "next/link";
import type { CatalogueCut } from "@/contract";
import { publicAddress } from "@/core/addresses";
import { CopyButton } from "../parts/copy-button";
import { formatSize } from "../parts/format";
import { WeightBar } from "../parts/drawing/weight-bar";

interface Props {
  readonly caption: string;
  readonly cuts: readonly CatalogueCut[];
  readonly base: string;
  /** Where a cut is opened to be changed. */
  readonly openAt: (cut: CatalogueCut) => string;
}

function CutRow({ cut, base, openAt }: Omit<Props, "caption" | "cuts"> & { cut: CatalogueCut }) {
  const address = publicAddress(cut.source, base);
  return (
    <tr className="border-t border-hairline">
      <td className="py-1.5 pr-3">
        <Link
          href={openAt(cut)}
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
      </td>
      <td className="whitespace-nowrap pr-3">
        {formatSize(cut.width, cut.height)}
        {cut.needed && <span className="block text-xs text-clay">too few pixels</span>}
      </td>
      <td className="pr-4">
        <WeightBar bytes={cut.bytes} use={cut.use} />
      </td>
      <td className="pr-3">
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
      </td>
      <td className="text-soft">{cut.usedIn.length === 0 ? "not used" : cut.usedIn.join(", ")}</td>
    </tr>
  );
}

/** Cuts with their sizes, weights, addresses and users; each opens where it can be changed. */
export function CutTable({ caption, cuts, ...rest }: Props) {
  return (
    <table className="mt-1.5 w-full table-fixed text-sm">
      <caption className="sr-only">{caption}</caption>
      <colgroup>
        <col className="w-20" />
        <col className="w-28" />
        <col className="w-48" />
        <col />
        <col className="w-36" />
      </colgroup>
      <thead>
        <tr className="text-left text-xs text-soft *:pb-1 *:font-normal">
          <th>Cut</th>
          <th>Display size</th>
          <th>Weight</th>
          <th>Address</th>
          <th>Used in</th>
        </tr>
      </thead>
      <tbody>
        {cuts.map((cut) => (
          <CutRow key={cut.source} cut={cut} {...rest} />
        ))}
      </tbody>
    </table>
  );
}
