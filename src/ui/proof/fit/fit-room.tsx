"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { strainOf, tightSays } from "@/core/fit";
import { fieldLabel } from "@/core/people";
import type { PersonFit } from "@/workers/fit.worker";
import { ask } from "../../parts/asking/ask";
import { ProgressLine, doneOfAll } from "../../parts/progress-line";
import { SomeOf } from "../../parts/some-of";
import { benchPlace } from "../../signature/bench-place";
import { FitChart } from "./fit-chart";
import { useFit } from "./use-fit";

interface Props {
  readonly signatureId: string;
  readonly document: Node;
}

/** Whether the details of everybody whom it is given to fit: who wraps, whose fields say nothing, and whose letters no face has. */
export function FitRoom({ signatureId, document }: Props) {
  const { fitting, stop, again } = useFit(signatureId, document);
  switch (fitting.kind) {
    case "trying":
      return (
        <ProgressLine
          label="People tried"
          done={fitting.done}
          all={fitting.all}
          says={
            fitting.all > 0 ? `${doneOfAll(fitting.done, fitting.all)} people tried` : "Trying everybody…"
          }
          onStop={stop}
        />
      );
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
      return <Known signatureId={signatureId} fits={fitting.fits} />;
  }
}

function Known({ signatureId, fits }: { readonly signatureId: string; readonly fits: readonly PersonFit[] }) {
  const ordered = [...fits].sort((one, other) => strainOf(other) - strainOf(one));
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
      <p className="font-serif text-3xl">
        {fitting.toLocaleString("en")} of {fits.length.toLocaleString("en")} fit
      </p>
      <p className="text-soft">
        Measured line by line with the details of whoever it is given to, or of all people while that is
        nobody, in the fonts that are drawn here, at the width of a desktop.
      </p>
      <FitChart fits={[...fits].sort((one, other) => other.fullest - one.fullest)} />
      {tight.length > 0 && (
        <section aria-labelledby="who-wraps" className="mt-6">
          <h2 id="who-wraps" className="mb-1 font-serif text-xl">
            Whose lines wrap or stick out
          </h2>
          <SomeOf
            all={tight}
            none=""
            keyOf={({ id }) => id}
            row={(fit) => <Tight signatureId={signatureId} fit={fit} />}
          />
        </section>
      )}
      <Lacking fits={fits} />
    </>
  );
}

function Tight({
  signatureId,
  fit: { id, name, tight },
}: {
  readonly signatureId: string;
  readonly fit: PersonFit;
}) {
  const router = useRouter();
  const open = async (position: number): Promise<void> => {
    try {
      await ask(endpoints.describeSignature, { params: { id: signatureId }, body: { personId: id } });
      router.push(`/signatures/${signatureId}${benchPlace(position)}`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <div className="grid gap-x-6 md:grid-cols-[260px_minmax(0,1fr)]">
      <p className="font-medium">
        <bdi>{name}</bdi>
      </p>
      <ul className="min-w-0">
        {tight.map((line) => (
          <li key={`${line.position} ${line.text}`} className="flex items-baseline gap-3 text-sm">
            <button
              type="button"
              title={`Draw it for ${name}, and show it on the Bench`}
              onClick={() => void open(line.position)}
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
