"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useRef, type ReactNode, type RefObject } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { endpoints, type Cut } from "@/contract";
import { applyFitMends, tightSays, usualHeight, worstFirst, type FitMend } from "@/core/fit";
import { fieldLabel } from "@/core/people";
import type { PersonFit } from "@/workers/fit.worker";
import { ask } from "../../parts/asking/ask";
import { FocusHome } from "../../parts/focus-home";
import { ProgressLine, doneOfAll } from "../../parts/progress-line";
import { SomeOf } from "../../parts/some-of";
import { benchPlace } from "../../signature/bench-place";
import type { Change } from "../../signature/editing/single-steps";
import { FitCharts } from "./fit-charts";
import { ForWhomStill } from "./for-whom-still";
import { MendLines } from "./mend-lines";
import { useFit, type Progress, type Tried } from "./use-fit";

interface Props extends Tried {
  readonly change: Change;
  readonly learnCut: (cut: Cut) => void;
  /** Shows the proofs of whoever the signature has come to be drawn for. */
  readonly onWall: () => void;
}

/** Draws a signature for somebody, and goes on from there. */
function drawFor(signatureId: string, personId: string, then: () => void): void {
  ask(endpoints.describeSignature, { params: { id: signatureId }, body: { personId } }).then(
    then,
    (error: Error) => void toast.error(error.message),
  );
}

/**
 * Whether the details of everybody whom it is given to fit: who wraps, for whom it comes out higher, whose fields say nothing, whose
 * letters no face has, and for whom it is still.
 */
export function FitRoom({ onWall, change, learnCut, ...tried }: Props) {
  const { fitting, stop, again } = useFit(tried);
  const { signatureId, base } = tried;
  const router = useRouter();
  const numbers = useRef<HTMLParagraphElement>(null);
  const mend = (found: Node, how: readonly FitMend[]): boolean => {
    const done = change((transform) => transform.doc === found && applyFitMends(transform, how));
    if (!done) toast("The signature was changed meanwhile: everybody is tried again.");
    return done;
  };
  switch (fitting.kind) {
    case "trying":
      return <TryingEverybody {...fitting} onStop={stop} />;
    case "stopped":
    case "failed":
      return (
        <p role="alert" className="text-soft">
          {fitting.kind === "failed" ? fitting.message : "It was stopped."}{" "}
          <button type="button" className="text-pine underline" onClick={again}>
            Try everybody
          </button>
        </p>
      );
    case "known":
      return (
        <Known
          fits={fitting.fits}
          numbers={numbers}
          trying={
            fitting.again && fitting.again.done > 0 && <TryingEverybody {...fitting.again} onStop={stop} />
          }
          onOpen={(id, position) =>
            drawFor(signatureId, id, () =>
              router.push(`/signatures/${signatureId}${position === null ? "" : benchPlace(position)}`),
            )
          }
        >
          <FocusHome value={() => numbers.current?.focus()}>
            {fitting.mends && (
              <MendLines
                {...fitting.mends}
                people={fitting.fits.length}
                base={base}
                learnCut={learnCut}
                onMend={mend}
              />
            )}
          </FocusHome>
          <ForWhomStill
            still={fitting.still}
            people={fitting.fits.length}
            onStop={stop}
            onAgain={again}
            onSee={(id) =>
              drawFor(signatureId, id, () => {
                router.refresh();
                onWall();
              })
            }
          />
        </Known>
      );
  }
}

const TryingEverybody = ({ done, all, onStop }: Progress & { readonly onStop: () => void }) => (
  <ProgressLine
    label="People tried"
    done={done}
    all={all}
    says={all > 0 ? `${doneOfAll(done, all)} people tried` : "Trying everybody…"}
    onStop={onStop}
  />
);

/** Shows somebody's signature on the Bench, at a place of the document where there is one. */
type OnOpen = (id: string, position: number | null) => void;

function Known({
  fits,
  numbers,
  trying,
  onOpen,
  children,
}: {
  readonly fits: readonly PersonFit[];
  readonly numbers: RefObject<HTMLParagraphElement | null>;
  /** How far it is with everybody after a change; those of a small directory are tried at once. */
  readonly trying: ReactNode;
  readonly onOpen: OnOpen;
  readonly children: ReactNode;
}) {
  const usual = usualHeight(fits.map(({ size }) => size.height));
  const ordered = [...fits].sort(worstFirst);
  const tight = ordered.filter((fit) => fit.tight.length > 0);
  const fitting = fits.length - tight.length;
  if (fits.length === 0)
    return (
      <p className="text-soft">
        Nobody is in the directory yet.{" "}
        <Link href="/people" className="text-pine underline">
          Bring in the people
        </Link>
        , and this says whose details fit.
      </p>
    );
  return (
    <>
      <p ref={numbers} tabIndex={-1} role="status" className="font-serif text-3xl">
        {fitting.toLocaleString("en")} of {fits.length.toLocaleString("en")} fit
      </p>
      {trying}
      <p className="text-soft">
        Laid out with the details of whoever it is given to, or of all people while that is nobody, in the
        fonts that are drawn here.
      </p>
      <FitCharts
        fits={ordered}
        usual={usual}
        onOpen={({ id, tight: [first] }) => onOpen(id, first?.position ?? null)}
      />
      {children}
      {tight.length > 0 && (
        <section aria-labelledby="who-wraps" className="mt-6">
          <h2 id="who-wraps" className="mb-1 font-serif text-xl">
            Whose lines wrap or stick out
          </h2>
          <SomeOf
            all={tight}
            none=""
            keyOf={({ id }) => id}
            row={(fit) => <Tight fit={fit} usual={usual} onOpen={onOpen} />}
          />
        </section>
      )}
      <Lacking fits={fits} />
    </>
  );
}

function Tight({
  fit: { id, name, tight, size },
  usual,
  onOpen,
}: {
  readonly fit: PersonFit;
  readonly usual: number;
  readonly onOpen: OnOpen;
}) {
  const higher = Math.round(size.height - usual);
  return (
    <div className="grid gap-x-6 md:grid-cols-[260px_minmax(0,1fr)]">
      <p className="font-medium">
        <bdi>{name}</bdi>
        {higher > 0 && <span className="block text-sm font-normal text-soft">{higher} px higher</span>}
      </p>
      <ul className="min-w-0">
        {tight.map((line) => (
          <li key={`${line.position} ${line.text}`} className="flex items-baseline gap-3 text-sm">
            <button
              type="button"
              title={`Draw it for ${name}, and show it on the Bench`}
              onClick={() => onOpen(id, line.position)}
              className="min-w-0 truncate text-left underline decoration-hairline hover:text-pine"
            >
              <bdi>{line.text}</bdi>
            </button>
            <span className="ml-auto shrink-0 whitespace-nowrap text-clay">{tightSays(line)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Names that are written out; the others are counted. */
const named = 6;

const listed = (names: readonly string[]): string =>
  names.length > named
    ? `${names.slice(0, named).join(", ")} and ${(names.length - named).toLocaleString("en")} more`
    : names.join(", ");

function Lacking({ fits }: { readonly fits: readonly PersonFit[] }) {
  const empty = new Map<string, string[]>();
  for (const fit of fits)
    for (const field of new Set(fit.empty.map((each) => each.field)))
      empty.set(fieldLabel(field), [...(empty.get(fieldLabel(field)) ?? []), fit.name]);
  const missing = fits.filter((fit) => fit.missing.length > 0);
  if (empty.size === 0 && missing.length === 0) return null;
  return (
    <section aria-labelledby="what-lacks" className="mt-6">
      <h2 id="what-lacks" className="mb-1 font-serif text-xl">
        What is lacking
      </h2>
      <ul className="text-sm">
        {[...empty].map(([field, names]) => (
          <li key={field} className="border-t border-hairline py-1.5">
            <span className="font-medium">No {field.toLowerCase()}:</span> {listed(names)}
          </li>
        ))}
        {missing.length > 0 && (
          <li className="border-t border-hairline py-1.5">
            <span className="font-medium">Letters that the shipped faces do not have,</span> drawn in whatever
            the recipient has, so that their widths are not known here:{" "}
            {listed(missing.map(({ name }) => name))}
          </li>
        )}
      </ul>
    </section>
  );
}
