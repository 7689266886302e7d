"use client";

import { DialogFrame } from "../../parts/dialog-frame";
import { Keys } from "../../parts/keys";
import type { BenchAction } from "./action-palette";
import { actions, otherKeys, type ActionGroup } from "../editor/actions";

interface Props {
  readonly onClose: () => void;
  readonly benchActions: readonly BenchAction[];
}

const groups: readonly ActionGroup[] = ["Table", "Part", "Text", "Go", "Signature"];

/** Every key of the Bench on one sheet. */
export function KeysDialog({ onClose, benchActions }: Props) {
  const known = [...actions, ...benchActions];
  return (
    <DialogFrame
      title="Keys"
      description="Everything else is found by its name: press F2 and type a few letters of it."
      onClose={onClose}
      className="w-[860px] overflow-y-auto"
    >
      <div className="mt-4 columns-2 gap-10">
        {groups.map((group) => (
          <section key={group} className="mb-4 break-inside-avoid">
            <h3 className="border-b border-pine pb-0.5 font-serif text-base">{group}</h3>
            <ul>
              {known
                .filter((action) => action.group === group && action.keys)
                .map(({ id, name, keys }) => (
                  <li key={id} className="flex border-b border-hairline py-0.5">
                    {name}
                    <Keys keys={keys!} />
                  </li>
                ))}
            </ul>
          </section>
        ))}
        <section className="break-inside-avoid">
          <h3 className="border-b border-pine pb-0.5 font-serif text-base">Everywhere</h3>
          <ul>
            {otherKeys.map(([keys, does]) => (
              <li key={does} className="flex border-b border-hairline py-0.5">
                {does}
                <Keys keys={keys} />
              </li>
            ))}
          </ul>
        </section>
      </div>
    </DialogFrame>
  );
}
