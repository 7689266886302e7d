"use client";

import { standInIds, standIns, type Mode, type StandInId } from "@/core/clients";
import { saidOf } from "../signature/stillness/said";
import type { Measured } from "../signature/stillness/measure-proofs";
import { keyText } from "../signature/stillness/proof-keys";

interface Props {
  readonly measured: Measured;
  /** Shows one proof closely. */
  readonly onShow: (client: StandInId, mode: Mode) => void;
}

const modes = ["light", "dark"] as const;

/** How still each stand-in is by light and in the dark, to be read at a glance: a filled ring is still. */
export function DriftTable({ measured, onShow }: Props) {
  return (
    <table className="mt-8 w-full text-[13px]">
      <caption className="mb-1 text-left font-serif text-lg">Where it drifts</caption>
      <thead>
        <tr className="text-xs text-soft">
          <th scope="col" className="text-left font-normal">
            Stand-in
          </th>
          {modes.map((mode) => (
            <th key={mode} scope="col" className="w-10 text-center font-normal">
              {mode}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {standInIds.map((client) => (
          <tr key={client} className="border-t border-hairline">
            <th scope="row" className="py-1 pr-2 text-left font-normal leading-4">
              {standIns[client].name}
            </th>
            {modes.map((mode) => {
              const proof = measured.get(keyText({ client, mode, account: "own" }));
              const said = proof ? saidOf(proof) : "not measured";
              return (
                <td key={mode} className="text-center align-middle">
                  <button
                    type="button"
                    title={said}
                    aria-label={`${standIns[client].name}, ${mode}: ${said}`}
                    onClick={() => onShow(client, mode)}
                    className="rounded-sm p-1 hover:bg-kelp"
                  >
                    <span
                      aria-hidden
                      className={`block h-2.5 w-2.5 ${proof?.still ? "rounded-full bg-lichen" : "rounded-none border-2 border-clay"}`}
                    />
                  </button>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
