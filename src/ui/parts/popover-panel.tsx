"use client";

import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./focus-home";

interface Props {
  readonly label: string;
  readonly align?: "start" | "center" | "end";
  /** Its width and padding. */
  readonly className: string;
  readonly children: ReactNode;
}

/** Made when it opens, so that it knows what had the focus then. */
function Panel({ label, align = "center", className, children }: Props) {
  const focusBack = useFocusBack();
  return (
    <Popover.Content
      align={align}
      sideOffset={5}
      collisionPadding={8}
      aria-label={label}
      onCloseAutoFocus={focusBack}
      className={`z-40 max-h-[var(--radix-popover-content-available-height)] overflow-y-auto rounded-sm border border-hairline bg-sheet ${className}`}
    >
      {children}
    </Popover.Content>
  );
}

/** What opens beside a control: never higher than the window has room for. */
export const PopoverPanel = (props: Props) => (
  <Popover.Portal>
    <Panel {...props} />
  </Popover.Portal>
);
