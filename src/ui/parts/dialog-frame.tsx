"use client";

import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./focus-home";

interface Props {
  readonly title: string;
  /** One sentence under the title. */
  readonly description?: string;
  readonly onClose: () => void;
  /** Its width, and how it holds what is too high for the window. */
  readonly className: string;
  readonly children: ReactNode;
}

/** A dialog over the page: title, a way to close it, and what it is for. Mounted while it is open. */
export function DialogFrame({ title, description, onClose, className, children }: Props) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <Dialog.Content
          onCloseAutoFocus={focusBack}
          {...(description === undefined ? { "aria-describedby": undefined } : {})}
          className={`fixed left-1/2 top-1/2 z-30 max-h-[92vh] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 rounded-sm border border-hairline bg-paper p-6 ${className}`}
        >
          <Dialog.Title className="font-serif text-2xl">{title}</Dialog.Title>
          {description !== undefined && (
            <Dialog.Description className="mt-0.5 text-soft">{description}</Dialog.Description>
          )}
          {children}
          <Dialog.Close aria-label="Close" className="absolute right-4 top-4 rounded-sm p-1 hover:bg-kelp">
            <X size={18} aria-hidden />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
