"use client";

/** Sluice: a diary. While the program is closed it is a shut cover, and only its files on the disk can be reached. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { endpoints, type Desk } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { pathsOf } from "../parts/letter-paths";
import { SluiceDisk } from "./disk";

function Cover({ desk, lost, onOpen }: { desk: Desk; lost: readonly string[]; onOpen: () => void }) {
  return (
    <main className="sluice flex flex-1 flex-wrap items-start justify-center gap-10 p-10">
      <section aria-label="Sluice, closed" className="sluice-cover">
        <h1 className="text-4xl">Sluice</h1>
        <p className="mt-2">{desk.person.name}’s diary of letters</p>
        <button type="button" className="sluice-act mt-auto" onClick={onOpen}>
          Open the book
        </button>
      </section>
      <div className="w-[520px]">
        {lost.length > 0 && (
          <p role="alert" className="mb-4 border-l-4 border-(--sl-wrong) pl-3 text-(--sl-wrong)">
            When the book was shut it wrote {lost.map((name) => `“${name}”`).join(" and ")} as it had read it
            on opening, over the file that was put there meanwhile. That file is lost: put it there again
            while the book is shut.
          </p>
        )}
        <SluiceDisk desk={desk} />
      </div>
    </main>
  );
}

export function SluiceShell({ desk, children }: { desk: Desk; children: ReactNode }) {
  const router = useRouter();
  const [lost, setLost] = useState<readonly string[]>([]);
  const { problem, attempt } = useAttempt();
  const { letters, write, settings } = pathsOf(desk);
  const run = (running: boolean): void =>
    void attempt(async () => {
      const answer = await ask(endpoints.runDesk, {
        params: { person: desk.person.id, client: desk.client },
        body: { running },
      });
      setLost(answer.lost);
      router.refresh();
    });
  if (!desk.running) return <Cover desk={desk} lost={lost} onOpen={() => run(true)} />;
  return (
    <div className="sluice flex-1">
      <aside aria-label="Sluice’s head" className="flex items-baseline gap-7 px-8 pt-5">
        <p className="text-2xl">Sluice</p>
        <nav aria-label="Sluice" className="flex gap-6">
          <Link href={letters()}>Days</Link>
          <Link href={write}>A loose sheet</Link>
          <Link href={settings}>My marks</Link>
        </nav>
        <button type="button" className="ml-auto underline" onClick={() => run(false)}>
          Shut the book
        </button>
        {problem && (
          <p role="alert" className="text-(--sl-wrong)">
            {problem}
          </p>
        )}
      </aside>
      <main className="px-8 pb-10 pt-4">{children}</main>
    </div>
  );
}
