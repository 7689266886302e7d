"use client";

/** Above every client: whose desk it is, and which client is open on it. It is of Still Line and not of the client. */
import Link from "next/link";
import { deskPath } from "@/contract";
import { deskClientIds, deskClients, type DeskClientId } from "@/core/desks";
import { Wordmark } from "../../parts/site-header";

interface Props {
  readonly personId: string;
  readonly name: string;
  readonly client: DeskClientId;
}

export function DeskBar({ personId, name, client }: Props) {
  return (
    <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-pine bg-paper px-5 py-2 text-ink">
      <Wordmark />
      <Link href="/mailroom" className="rounded-sm text-soft underline hover:text-pine">
        Mailroom
      </Link>
      <p className="font-medium">At {name}’s desk</p>
      <nav aria-label="Clients on this desk" className="ml-auto flex flex-wrap gap-x-5">
        {deskClientIds.map((id) => (
          <Link
            key={id}
            href={deskPath(personId, id)}
            prefetch={false}
            title={deskClients[id].about}
            aria-current={id === client ? "page" : undefined}
            className="rounded-sm text-soft hover:text-pine aria-[current=page]:font-semibold aria-[current=page]:text-ink"
          >
            {deskClients[id].name}
          </Link>
        ))}
      </nav>
    </header>
  );
}
