"use client";

/** Granary: a ledger over the whole width, its places named along the top rule. */
import Link from "next/link";
import { usePathname } from "next/navigation";
import type { ReactNode } from "react";
import type { Desk } from "@/contract";
import { pathsOf } from "../parts/letter-paths";

export function GranaryShell({ desk, children }: { desk: Desk; children: ReactNode }) {
  const path = usePathname();
  const { letters, write, settings } = pathsOf(desk);
  const places = [
    { href: letters(), name: "Ledger", here: path !== write && path !== settings },
    { href: write, name: "Fresh leaf", here: path === write },
    { href: settings, name: "Drawer", here: path === settings },
  ];
  return (
    <div className="granary flex-1">
      <aside
        aria-label="Granary’s head"
        className="flex items-baseline gap-8 border-b-[3px] border-double border-(--gr-rule) px-6 pb-2 pt-4"
      >
        <p className="text-xl">Granary</p>
        <nav aria-label="Granary" className="flex gap-6">
          {places.map(({ href, name, here }) => (
            <Link
              key={href}
              href={href}
              aria-current={here ? "page" : undefined}
              className="underline decoration-dotted underline-offset-4 aria-[current=page]:font-bold aria-[current=page]:no-underline"
            >
              {name}
            </Link>
          ))}
        </nav>
        <p className="ml-auto text-sm text-(--gr-soft)">kept by {desk.person.name}</p>
      </aside>
      <main className="px-6 pb-10">{children}</main>
    </div>
  );
}
