"use client";

import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { Keys } from "../parts/keys";
import { useBench } from "./bench-context";
import { actions as documentActions, type Action } from "./editor/actions";

/** Something that the Bench does beside editing the document: opening a dialog, changing what is shown. */
export interface BenchAction extends Omit<Action, "command"> {
  readonly run: () => void;
}

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly benchActions: readonly BenchAction[];
}

/** Everything that can be put in or done, found by typing a few letters of its name. */
export function ActionPalette({ open, onClose, benchActions }: Props) {
  const { editor } = useBench();
  const { state } = editor;
  const entries = [
    ...documentActions
      .filter(({ command }) => open && command(state))
      .map((action) => ({ ...action, run: () => editor.run(action.command) })),
    ...benchActions,
  ];
  const groups = [...new Set(entries.map(({ group }) => group))];
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/20" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="fixed left-1/2 top-24 z-30 w-[460px] max-w-[94vw] -translate-x-1/2 rounded-sm border border-hairline bg-paper"
        >
          <Dialog.Title className="sr-only">Put in or do</Dialog.Title>
          <Command label="Put in or do" loop>
            <Command.Input
              autoFocus
              placeholder="Put in or do…"
              className="w-full border-b border-hairline bg-transparent px-4 py-3 font-serif text-lg outline-none"
            />
            <Command.List className="max-h-[420px] overflow-y-auto p-2">
              <Command.Empty className="px-2 py-3 text-soft">
                Nothing here has that name. Try a shorter word.
              </Command.Empty>
              {groups.map((group) => (
                <Command.Group
                  key={group}
                  heading={group}
                  className="mb-1 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-soft"
                >
                  {entries
                    .filter((entry) => entry.group === group)
                    .map(({ id, name, keys, run }) => (
                      <Command.Item
                        key={id}
                        value={`${name} ${group}`}
                        onSelect={() => {
                          onClose();
                          run();
                        }}
                        className="flex cursor-pointer items-center rounded-sm px-2 py-1 data-[selected=true]:bg-kelp"
                      >
                        {name}
                        {keys && <Keys keys={keys} />}
                      </Command.Item>
                    ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
