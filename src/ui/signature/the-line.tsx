import Link from "next/link";
import type { ReactNode } from "react";
import type { Stillness } from "@/contract";
import { openFindings, type Finding, type Station } from "@/core/checks";

const stations: readonly { id: Station; name: string; path: string }[] = [
  { id: "build", name: "Build", path: "" },
  { id: "pictures", name: "Pictures", path: "/pictures" },
  { id: "links", name: "Links", path: "/links" },
  { id: "proof", name: "Proof", path: "/proof" },
  { id: "install", name: "Install", path: "/install" },
];

interface Props {
  readonly signatureId: string;
  readonly current: Station;
  readonly findings: readonly Finding[];
  /** In how many proofs it is still; null where that is not known of what is shown. */
  readonly stillness: Stillness | null;
  /** What stands beside the station that is shown. */
  readonly besideStation?: ReactNode;
}

/** The line across the top of a signature's screens: a station fills when nothing is open there. */
export function TheLine({ signatureId, current, findings, stillness, besideStation }: Props) {
  return (
    <nav aria-label="Stations" className="relative px-5 pb-1.5 pt-1">
      <div aria-hidden className="absolute inset-x-5 top-[12px] border-t border-pine" />
      <ol className="relative grid grid-cols-5">
        {stations.map(({ id, name, path }) => {
          // The proof shows all findings, whatever station they are mended on.
          const open = openFindings(findings).filter(
            ({ station }) => id === "proof" || station === id,
          ).length;
          const here = id === current;
          return (
            <li key={id} className="text-center">
              <span className="relative inline-flex">
                <Link
                  href={`/signatures/${signatureId}${path}`}
                  aria-current={here ? "step" : undefined}
                  className="inline-flex flex-col items-center rounded-sm px-3 hover:text-pine"
                >
                  <span
                    aria-hidden
                    className={`my-[1px] h-[14px] w-[14px] rounded-full border border-pine ${open === 0 ? "bg-pine" : "bg-paper"} ${here ? "ring-2 ring-kelp" : "ring-2 ring-paper"}`}
                  />
                  <span className={`text-[13px] leading-[18px] ${here ? "font-semibold" : "text-soft"}`}>
                    {name}
                    {open > 0 && (
                      <span className="ml-1 font-semibold text-clay">
                        {open}
                        <span className="sr-only"> open findings</span>
                      </span>
                    )}
                    {id === "proof" && stillness && (
                      <span className="ml-1.5 text-xs font-normal text-soft">
                        still in {stillness.still} of {stillness.all}
                      </span>
                    )}
                  </span>
                </Link>
                {here && besideStation && (
                  <span className="absolute bottom-0 left-full -ml-2.5">{besideStation}</span>
                )}
              </span>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
