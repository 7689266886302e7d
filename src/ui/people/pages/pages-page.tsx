"use client";

import { Mail } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import {
  endpoints,
  type Correction,
  type FoundPeople,
  type OutgoingServer,
  type PageCounts,
  type PageLetter,
  type PeopleLook,
  type PersonWithPage,
} from "@/contract";
import type { OwnField } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import { Button, buttonClass } from "../../parts/button";
import { formatCount } from "../../parts/format";
import { StepButtons } from "../../parts/steps/step-buttons";
import { useDirectorySteps } from "../directory-steps";
import { PeopleRows } from "../people-rows";
import { useLookingForPeople } from "../use-looking-for-people";
import { Corrections } from "./corrections";
import { LetterDialog } from "./letter-dialog";
import { PageRow } from "./page-row";

interface Props {
  readonly found: FoundPeople;
  readonly look: PeopleLook;
  /** The first of those who are found. */
  readonly people: readonly PersonWithPage[];
  readonly counts: PageCounts;
  readonly corrections: readonly Correction[];
  readonly letter: PageLetter;
  /** The mail server that letters go through; null while none is set up. */
  readonly server: OutgoingServer | null;
  readonly ownFields: readonly OwnField[];
}

const load = async (ids: readonly string[]): Promise<readonly PersonWithPage[]> =>
  (await ask(endpoints.pageRows, { body: { ids: [...ids] } })).people;

/** Everybody's own page: who has one, who opened it, copied from it and installed, and what people say is wrong about them. */
export function PagesPage({ found, look, people, counts, corrections, letter, server, ownFields }: Props) {
  const router = useRouter();
  const [writing, setWriting] = useState(false);
  const refresh = (): void => router.refresh();
  const steps = useDirectorySteps(refresh);
  const looking = useLookingForPeople("/people/pages", look);
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Pages for people</h1>
        <p className="pb-1.5 text-soft">
          {formatCount(counts.pages, "page")} for {formatCount(counts.withSignature, "person", "people")} with
          a signature
        </p>
        <div className="mb-1 ml-auto flex flex-wrap items-center gap-2">
          <StepButtons {...steps} />
          <Link href="/people" prefetch={false} className={buttonClass()}>
            All people
          </Link>
          <Button look="primary" disabled={counts.withSignature === 0} onClick={() => setWriting(true)}>
            <Mail size={16} aria-hidden />
            Write to them
          </Button>
        </div>
      </div>
      <div className="flex flex-wrap items-start gap-x-10 border-t border-pine pb-4 pt-3">
        <dl className="flex flex-wrap gap-x-10">
          {(["opened", "copied", "installed"] as const).map((step) => (
            <div key={step} className="flex items-baseline gap-2">
              <dd className="font-serif text-2xl tabular-nums">{counts[step].toLocaleString("en")}</dd>
              <dt className="text-soft">{step}</dt>
            </div>
          ))}
        </dl>
        <p className="ml-auto max-w-[520px] text-sm text-soft">
          A page shows one person their own signatures, with the steps for their kind of mail, at an address
          that cannot be guessed.
        </p>
      </div>
      {corrections.length > 0 && <Corrections corrections={corrections} />}
      <section aria-label="People and their pages">
        <PeopleRows
          label="Pages"
          {...{ looking, found, people, load }}
          estimate={46}
          row={(of) => <PageRow of={of} base={letter.base} />}
        />
      </section>
      {writing && (
        <LetterDialog
          {...{ letter, server, ownFields }}
          departments={found.departments}
          withSignature={counts.withSignature}
          onClose={() => {
            setWriting(false);
            refresh();
          }}
        />
      )}
    </main>
  );
}
