"use client";

/** Wren: a phone, with words along its foot. */
import Link from "next/link";
import { usePathname } from "next/navigation";
import type { ReactNode } from "react";
import type { Desk } from "@/contract";
import { pathsOf } from "../parts/letter-paths";

export function WrenShell({ desk, children }: { desk: Desk; children: ReactNode }) {
  const path = usePathname();
  const { letters, write, settings } = pathsOf(desk);
  const places = [
    { href: letters(), name: "Cards", here: path !== write && path !== settings },
    { href: write, name: "Write", here: path === write },
    { href: settings, name: "Ending", here: path === settings },
  ];
  return (
    <div className="wren flex flex-1 justify-center p-6">
      <div className="wren-phone">
        <main className="min-h-0 flex-1 overflow-y-auto p-4" tabIndex={-1}>
          {children}
        </main>
        <nav aria-label="Wren" className="wren-foot">
          {places.map(({ href, name, here }) => (
            <Link key={href} href={href} aria-current={here ? "page" : undefined}>
              {name}
            </Link>
          ))}
        </nav>
      </div>
    </div>
  );
}
