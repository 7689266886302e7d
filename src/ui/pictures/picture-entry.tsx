import { Crop, Film } from "lucide-react";
import Link from "next/link";
import { addressOf, endpoints, type CatalogueEntry } from "@/contract";
import { buttonClass } from "../parts/button";
import { formatBytes, formatSize } from "../parts/format";
import { CutHeads, CutTable } from "./cut-table";
import { OriginalName } from "./original-name";
import { ReplaceButton } from "./replace-button";

interface Props {
  readonly entry: CatalogueEntry;
  readonly base: string;
  /** The signature that it is listed for: what is changed is put into it. */
  readonly signatureId?: string | undefined;
}

const entryColumns = "grid grid-cols-[140px_minmax(0,1fr)] gap-5";

/** The heads of the columns of all entries below it. */
export const EntryHeads = () => (
  <div aria-hidden className={`${entryColumns} sticky top-0 z-10 bg-paper py-1.5`}>
    <span className="text-xs text-soft">Original</span>
    <CutHeads />
  </div>
);

/** An original, with the cuts made from it and their addresses. */
export function PictureEntry({ entry: { original, cuts }, base, signatureId }: Props) {
  return (
    <div className={`${entryColumns} border-t border-pine py-4`}>
      <img
        src={addressOf(endpoints.pictureThumbnail, { hash: original.hash })}
        alt=""
        loading="lazy"
        className={`h-[105px] w-[140px] border border-hairline object-scale-down ${original.transparent ? "checkered" : "bg-sheet"}`}
      />
      <div className="min-w-0">
        <div className="flex flex-wrap items-center gap-x-3">
          <OriginalName hash={original.hash} name={original.name} />
          <span className="text-soft">
            {original.type.toUpperCase()} · {formatSize(original.width, original.height)} ·{" "}
            {formatBytes(original.bytes)}
            {original.transparent && " · transparent"}
            {original.frames > 1 && ` · ${original.frames} frames`}
          </span>
          <span className="ml-auto flex">
            <Link
              href={`/pictures/cut/${original.hash}`}
              prefetch={false}
              aria-label={`Cut ${original.name}`}
              className={buttonClass("quiet")}
            >
              <Crop size={15} aria-hidden />
              Cut
            </Link>
            <Link
              href={`/pictures/loops/new?original=${original.hash}`}
              prefetch={false}
              aria-label={`Make a loop of ${original.name}`}
              className={buttonClass("quiet")}
            >
              <Film size={15} aria-hidden />
              Loop
            </Link>
            <ReplaceButton hash={original.hash} name={original.name} />
          </span>
        </div>
        {cuts.length === 0 ? (
          <p className="mt-2 text-soft">No cut yet. Place it in a signature, and it is cut to fit.</p>
        ) : (
          <CutTable caption={`Cuts of ${original.name}`} cuts={cuts} base={base} signatureId={signatureId} />
        )}
      </div>
    </div>
  );
}
