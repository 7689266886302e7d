import { CopyButton } from "../parts/copy-button";
import { formatBytes, formatSize } from "../parts/format";
import type { ListedCut, ListedPicture } from "./picture-entry";

const typeNames = { png: "PNG", jpeg: "JPEG" } as const;

function CutRow({ cut, base }: { cut: ListedCut; base: string }) {
  const address = base + cut.source;
  return (
    <tr className="border-t border-hairline">
      <td className="py-1.5 pr-3">
        <img
          src={cut.source}
          width={cut.width}
          height={cut.height}
          alt=""
          className="checkered h-10 w-14 object-scale-down"
        />
      </td>
      <td className="whitespace-nowrap pr-3">{formatSize(cut.width, cut.height)}</td>
      <td className="whitespace-nowrap pr-3 text-soft">
        {formatBytes(cut.bytes)} {typeNames[cut.type]}
      </td>
      <td className="pr-3">
        <span className="flex items-center gap-1">
          <a
            href={cut.source}
            target="_blank"
            rel="noreferrer"
            className="truncate font-mono text-xs text-pine hover:underline"
          >
            {address}
          </a>
          <CopyButton label={`Copy the address of ${cut.source.split("/").at(-1)}`} text={address} />
        </span>
      </td>
      <td className="text-soft">{cut.usedIn.length === 0 ? "not used" : cut.usedIn.join(", ")}</td>
    </tr>
  );
}

/** Originals, each with the cuts made from it and their addresses. */
export function PictureList({ pictures, base }: { pictures: readonly ListedPicture[]; base: string }) {
  return (
    <ul>
      {pictures.map(({ original, cuts }) => (
        <li key={original.hash} className="grid grid-cols-[140px_1fr] gap-5 border-t border-pine py-4">
          <img
            src={`/api/pictures/${original.hash}/thumbnail`}
            alt=""
            loading="lazy"
            className={`h-[105px] w-[140px] border border-hairline object-scale-down ${original.transparent ? "checkered" : "bg-sheet"}`}
          />
          <div className="min-w-0">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <span className="font-serif text-lg">{original.name}</span>
              <span className="text-soft">
                {typeNames[original.type]} · {formatSize(original.width, original.height)} ·{" "}
                {formatBytes(original.bytes)}
                {original.transparent && " · transparent"}
              </span>
            </p>
            {cuts.length === 0 ? (
              <p className="mt-2 text-soft">No cut yet: place it in a signature and it is cut to size.</p>
            ) : (
              <table className="mt-1.5 w-full table-fixed text-sm">
                <caption className="sr-only">Cuts of {original.name}</caption>
                <colgroup>
                  <col className="w-18" />
                  <col className="w-32" />
                  <col className="w-28" />
                  <col />
                  <col className="w-44" />
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
                    <CutRow key={cut.source} cut={cut} base={base} />
                  ))}
                </tbody>
              </table>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}
