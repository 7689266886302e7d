"use client";

import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  /** Its width. */
  readonly className: string;
  readonly children: ReactNode;
}

/** The classes of what can be chosen in a menu. */
export const menuItemClass =
  "flex cursor-pointer items-center px-3 py-1 outline-none data-[highlighted]:bg-kelp data-[disabled]:opacity-40";

/** What a menu opens below its button, at its right. */
export const MenuPanel = ({ className, children }: Props) => (
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      align="end"
      sideOffset={4}
      collisionPadding={8}
      className={`z-30 rounded-sm border border-hairline bg-sheet py-1 ${className}`}
    >
      {children}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
);
