"use client";

import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { Keys } from "../parts/keys";
import type { BenchAction } from "./action-palette";
import { actions, otherKeys, type ActionGroup } from "./editor/actions";

interface Props {
  readonly onClose: () => void;
  readonly benchActions: readonly BenchAction[];
}

const groups: readonly ActionGroup[] = ["Table", "Part", "Text", "Go", "Signature"];

/** Every key of the Bench on one sheet. */
export function KeysDialog({ onClose, benchActions }: Props) {
  const known = [...actions, ...benchActions];
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-30 max-h-[92vh] w-[860px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-sm border border-hairline bg-paper p-6">
          <Dialog.Title className="font-serif text-2xl">Keys</Dialog.Title>
          <Dialog.Description className="text-soft">
            Everything else is found by its name: press Ctrl Enter and type a few letters of it.
          </Dialog.Description>
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
          <Dialog.Close aria-label="Close" className="absolute right-4 top-4 rounded-sm p-1 hover:bg-kelp">
            <X size={18} aria-hidden />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
