"use client";

import { Ellipsis, PanelRightOpen } from "lucide-react";
import Link from "next/link";
import { DropdownMenu } from "radix-ui";
import type { DirectoryPerson } from "@/contract";

export interface PersonActions {
  readonly onDuplicate: (of: DirectoryPerson) => void;
  readonly onTakeOut: (of: DirectoryPerson) => void;
}

interface Props extends PersonActions {
  readonly of: DirectoryPerson;
  /** Whether the Tab key leads to it. */
  readonly reachable: boolean;
}

const item = "cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-kelp";

/** A person's own page, and what can be done with somebody as a whole. */
export function RowActions({ of, reachable, onDuplicate, onTakeOut }: Props) {
  const called = of.person.name || "a person without a name";
  const tabIndex = reachable ? 0 : -1;
  const look =
    "inline-flex size-7 items-center justify-center rounded-sm text-soft hover:bg-kelp hover:text-pine";
  return (
    <span className="inline-flex items-center gap-0.5 pr-1">
      <Link
        href={`/people/${of.id}`}
        prefetch={false}
        aria-label={`Open ${called}`}
        title={`Open ${called}`}
        tabIndex={tabIndex}
        className={look}
      >
        <PanelRightOpen size={15} aria-hidden />
      </Link>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger aria-label={`More for ${called}`} tabIndex={tabIndex} className={look}>
          <Ellipsis size={16} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={4}
            collisionPadding={8}
            className="z-20 min-w-40 rounded-sm border border-hairline bg-sheet py-1 text-sm"
          >
            <DropdownMenu.Item className={item} onSelect={() => onDuplicate(of)}>
              Duplicate
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => onTakeOut(of)}>
              Take out of the directory
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </span>
  );
}
