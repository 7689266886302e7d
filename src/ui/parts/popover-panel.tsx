"use client";

import { Popover } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  readonly label: string;
  readonly align?: "start" | "center" | "end";
  /** Its width and padding. */
  readonly className: string;
  readonly children: ReactNode;
}

/** What opens beside a control: never higher than the window has room for. */
export function PopoverPanel({ label, align = "center", className, children }: Props) {
  return (
    <Popover.Portal>
      <Popover.Content
        align={align}
        sideOffset={5}
        collisionPadding={8}
        aria-label={label}
        className={`z-40 max-h-[var(--radix-popover-content-available-height)] overflow-y-auto rounded-sm border border-hairline bg-sheet ${className}`}
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
