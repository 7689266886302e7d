"use client";

import { Command } from "cmdk";
import type { EditorState } from "prosemirror-state";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { flushSync } from "react-dom";
import { useFocusBack } from "../../parts/focus-home";
import { Keys } from "../../parts/keys";
import { matchAction } from "./match-action";
import { measuresByName } from "./measures-by-name";
import type { EditorTools } from "../editor/use-editor";
import { actions as documentActions, type Action } from "../editor/actions";

/** Something that the Bench does beside editing the document: opening a dialog, changing what is shown. */
export interface BenchAction extends Omit<Action, "command"> {
  readonly run: () => void;
}

interface Props {
  readonly state: EditorState;
  readonly run: EditorTools["run"];
  readonly onClose: () => void;
  /** Fields of the user's own. */
  readonly ownParts: readonly Action[];
  readonly benchActions: readonly BenchAction[];
}

/** Everything that can be put in or done, found by typing a few letters of its name. */
export function ActionPalette({ onClose, ...rest }: Props) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/20" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={focusBack}
          className="fixed left-1/2 top-24 z-30 w-[460px] max-w-[94vw] -translate-x-1/2 rounded-sm border border-hairline bg-paper"
        >
          <Dialog.Title className="sr-only">Put in or do</Dialog.Title>
          <Finder onClose={onClose} {...rest} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Finder({ state, run, onClose, ownParts, benchActions }: Props) {
  const [typed, setTyped] = useState("");
  const done: readonly BenchAction[] = [
    ...[...documentActions, ...ownParts]
      .filter(({ command }) => command(state))
      .map((action) => ({ ...action, run: () => run(action.command) })),
    ...benchActions,
  ];
  // What is behind the palette does not change while it is open.
  const [measures] = useState(() => measuresByName(new Set(done.map(({ name }) => name)), state, run));
  const entries = [...done, ...measures];
  const found = entries
    .map((entry) => ({ entry, match: matchAction(entry.name, typed, entry.group) }))
    .filter(({ match }) => match > 0)
    .sort((one, other) => other.match - one.match)
    .map(({ entry }) => entry);
  const item = ({ id, name, keys, run: perform }: BenchAction) => (
    <Command.Item
      key={id}
      value={id}
      onSelect={() => {
        // Once it is gone, what is done can take the focus.
        flushSync(onClose);
        perform();
      }}
      className="flex cursor-pointer items-center rounded-sm px-2 py-1 data-[selected=true]:bg-kelp"
    >
      {name}
      {keys && <Keys keys={keys} />}
    </Command.Item>
  );
  const groups = [...new Set(entries.map(({ group }) => group))];
  return (
    <Command label="Put in or do" loop shouldFilter={false}>
      <Command.Input
        autoFocus
        value={typed}
        onValueChange={setTyped}
        placeholder="Put in or do…"
        className="w-full border-b border-hairline bg-transparent px-4 py-3 font-serif text-lg outline-none"
      />
      <Command.List className="max-h-[420px] overflow-y-auto p-2">
        {found.length === 0 && (
          <p className="px-2 py-3 text-soft">Nothing here has that name. Try a shorter word.</p>
        )}
        {typed.trim() === ""
          ? groups.map((group) => (
              <Command.Group
                key={group}
                heading={group}
                className="mb-1 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-soft"
              >
                {entries.filter((entry) => entry.group === group).map(item)}
              </Command.Group>
            ))
          : found.map(item)}
      </Command.List>
    </Command>
  );
}
