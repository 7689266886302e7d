"use client";

import { Mailbox, PenLine, Settings2 } from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import type { Desk } from "@/contract";
import { pathsOf } from "../parts/letter-paths";

/** The stand-in webmail's rail: whose it is, and its three places. */
export function Rail({ desk }: { desk: Desk }) {
  const path = usePathname();
  const { letters, write, settings } = pathsOf(desk);
  const home = letters();
  const places = [
    {
      href: home,
      label: "Letters",
      Icon: Mailbox,
      here: path === home || path.startsWith(`${home}/letters`),
    },
    { href: write, label: "New letter", Icon: PenLine, here: path === write },
    {
      href: settings,
      label: "Preferences",
      Icon: Settings2,
      here: path === settings,
    },
  ];
  return (
    <aside
      aria-label="Malthouse Mail’s rail"
      className="flex w-56 shrink-0 flex-col bg-(--mm-rail) px-4 py-5 text-(--mm-on-rail)"
    >
      <p className="text-lg font-bold tracking-wide">Malthouse Mail</p>
      <p className="mt-0.5 text-xs leading-4 text-(--mm-soft-on-rail)">
        a stand-in webmail that keeps inline styles only
      </p>
      <p className="mt-6 font-medium">{desk.person.name}</p>
      {desk.addresses.map((address) => (
        <p key={address} className="break-all text-xs text-(--mm-soft-on-rail)">
          {address}
        </p>
      ))}
      <nav aria-label="Malthouse Mail" className="mt-6 space-y-1">
        {places.map(({ href, label, Icon, here }) => (
          <Link
            key={href}
            href={href}
            aria-current={here ? "page" : undefined}
            className="flex items-center gap-2.5 rounded-full px-3 py-1.5 hover:bg-(--mm-on-rail)/10 aria-[current=page]:bg-(--mm-field) aria-[current=page]:font-semibold aria-[current=page]:text-(--mm-ink)"
          >
            <Icon size={16} aria-hidden />
            {label}
          </Link>
        ))}
      </nav>
    </aside>
  );
}
