"use client";

import { ChevronDown } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { Keys } from "../../parts/keys";
import { useBench } from "../bench-context";
import { menuActions } from "../editor/actions";

const menus = [
  { name: "Table", actions: menuActions.table, dividers: ["row-up", "merge", "delete-row"] },
  { name: "Part", actions: menuActions.part, dividers: ["duplicate", "short-form"] },
] as const;

/** What can be done to the table and to the part that the selection is in. */
export function TableMenus() {
  const { editor } = useBench();
  return menus.map(({ name, actions, dividers }) => (
    <DropdownMenu.Root key={name} modal={false}>
      <DropdownMenu.Trigger className="inline-flex h-7 items-center gap-1 rounded-sm px-2 hover:bg-kelp data-[state=open]:bg-kelp">
        {name}
        <ChevronDown size={14} aria-hidden className="text-soft" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            editor.focus();
          }}
          className="z-20 max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-72 overflow-y-auto rounded-sm border border-hairline bg-sheet py-1"
        >
          {actions.map((action) => (
            <div key={action.id}>
              {(dividers as readonly string[]).includes(action.id) && (
                <DropdownMenu.Separator className="my-1 border-t border-hairline" />
              )}
              <DropdownMenu.Item
                disabled={!action.command(editor.state)}
                onSelect={() => editor.run(action.command)}
                className="flex cursor-pointer items-center px-3 py-1 outline-none data-[disabled]:cursor-default data-[highlighted]:bg-kelp data-[disabled]:opacity-40"
              >
                {action.name}
                {action.keys && <Keys keys={action.keys} />}
              </DropdownMenu.Item>
            </div>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  ));
}
