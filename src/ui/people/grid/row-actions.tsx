"use client";

import { Ellipsis, PanelRightOpen } from "lucide-react";
import Link from "next/link";
import { DropdownMenu } from "radix-ui";
import type { DirectoryPerson } from "@/contract";
import { MenuPanel, menuItemClass } from "../../parts/menu-panel";

export interface PersonActions {
  readonly onDuplicate: (of: DirectoryPerson) => void;
  readonly onTakeOut: (of: DirectoryPerson) => void;
}

interface Props extends PersonActions {
  readonly of: DirectoryPerson;
  /** Whether the Tab key leads to it. */
  readonly reachable: boolean;
}

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
        <MenuPanel className="min-w-40 text-sm">
          <DropdownMenu.Item className={menuItemClass} onSelect={() => onDuplicate(of)}>
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={menuItemClass} onSelect={() => onTakeOut(of)}>
            Take out of the directory
          </DropdownMenu.Item>
        </MenuPanel>
      </DropdownMenu.Root>
    </span>
  );
}
