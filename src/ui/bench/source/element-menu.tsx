"use client";

import { DropdownMenu } from "radix-ui";
import type { ElementEditName } from "@/core/source";
import { Keys } from "../../parts/keys";

export interface ElementAt {
  /** Where the element begins in the source. */
  readonly offset: number;
  readonly anchor: DOMRect;
}

interface Props {
  readonly at: ElementAt;
  /** What the element is in the signature. */
  readonly name: string;
  readonly onEdit: (edit: ElementEditName) => void;
  readonly onClose: () => void;
}

/** What can be done to a whole element, by name and key; the keys are those of parts on the sheet. */
export const elementEdits: readonly (readonly [edit: ElementEditName, name: string, keys: string])[] = [
  ["duplicate", "Duplicate", "Alt-Shift-d"],
  ["up", "Move up", "Alt-ArrowUp"],
  ["down", "Move down", "Alt-ArrowDown"],
  ["remove", "Take out", "Alt-Shift-x"],
];

/** Opens beside the margin of the source. */
export function ElementMenu({ at, name, onEdit, onClose }: Props) {
  const { left, top, height } = at.anchor;
  return (
    <DropdownMenu.Root open modal={false} onOpenChange={(open) => !open && onClose()}>
      <DropdownMenu.Trigger asChild>
        <span
          aria-hidden
          className="pointer-events-none fixed w-px"
          style={{ left: left + 12, top, height }}
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          side="right"
          aria-label={name}
          collisionPadding={8}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-30 min-w-64 rounded-sm border border-hairline bg-sheet py-1"
        >
          <DropdownMenu.Label className="max-w-80 truncate px-3 pb-1 text-xs text-soft">
            {name}
          </DropdownMenu.Label>
          {elementEdits.map(([edit, word, keys]) => (
            <DropdownMenu.Item
              key={edit}
              onSelect={() => onEdit(edit)}
              className="flex cursor-pointer items-center px-3 py-1 outline-none data-[highlighted]:bg-kelp"
            >
              {word}
              <Keys keys={keys} />
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
