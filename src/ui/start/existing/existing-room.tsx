"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints, type DirectoryPerson } from "@/contract";
import { compile } from "@/core/compile";
import { asItWas } from "@/core/importing";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { ImportReport } from "../../importing/import-report";
import { takeAddressesIn, takeIn } from "../../importing/take-in";
import { recordStarted } from "../../signature/just-started";
import { MeasuringFrame } from "../../signature/stillness/measuring-frame";
import { BlockChoice } from "./block-choice";
import { DetailChoice } from "./detail-choice";
import { DifferenceLine } from "./difference-line";
import { PictureChoice } from "./picture-choice";
import { importArea, useDifference } from "./use-difference";
import type { Existing } from "./read-existing";
import { useExisting } from "./use-existing";

interface Props {
  readonly existing: Existing;
  readonly people: readonly DirectoryPerson[];
  readonly base: string;
  readonly onBack: () => void;
}

/** The address of a picture as an attribute has it. */
const inAttribute = (address: string): string =>
  `"${address.replaceAll("&", "&amp;").replaceAll('"', "&quot;")}"`;

const nameFor = (name: string): string =>
  name
    .replace(/\.[a-z0-9]+$/i, "")
    .slice(0, 80)
    .trim() || "Imported";

/** What somebody has already, beside what it becomes here: its pictures, its details and what became of the rest. */
export function ExistingRoom({ existing, people, base, onBack }: Props) {
  const router = useRouter();
  const signature = useExisting(existing, people);
  const [progress, setProgress] = useState<string | null>(null);
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const stopping = useRef<AbortController | null>(null);
  const measuring = useRef<HTMLIFrameElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  // What asked for it is gone from the page: keys go on from here.
  useEffect(() => heading.current?.focus(), []);
  const { imported, html, person } = signature;

  const shownHere = useCallback(
    (text: string): string => {
      let shown = text;
      for (const [address, { standIn, shown: data }] of existing.brought)
        shown = shown.replaceAll(inAttribute(address), `"${data}"`).replaceAll(`"${standIn}"`, `"${data}"`);
      return localPictures(shown, base);
    },
    [existing, base],
  );
  const was = useMemo(() => shownHere(asItWas(html)), [shownHere, html]);
  const { document } = signature;
  const becomes = useMemo(() => {
    const destination = "webmail-paste";
    return shownHere(
      compile(document, { destination, person: person?.person ?? null, base, picturePlaces: true }),
    );
  }, [shownHere, document, person, base]);
  const difference = useDifference(measuring, was, becomes);

  const begin = async (): Promise<void> => {
    const stop = new AbortController();
    stopping.current = stop;
    setProgress("Beginning…");
    try {
      const pictures = [...new Map(imported.pictures.map((picture) => [picture.address, picture])).values()];
      const brought = pictures.flatMap(({ address, width }) => {
        const file = signature.chosen.get(address) ?? existing.brought.get(address)?.file;
        return file ? [{ address, file, width }] : [];
      });
      const total = brought.length + taken.size;
      const say = (done: number): void => {
        if (stop.signal.aborted || total === 0) return;
        setProgress(`Taking in pictures: ${Math.min(total, done + 1)} of ${total}`);
      };
      say(0);
      const own = await takeIn(brought, say, stop.signal);
      const remote = await takeAddressesIn(
        pictures.filter(({ address }) => taken.has(address)),
        (done) => say(brought.length + done),
        stop.signal,
      );
      if (stop.signal.aborted) return;
      for (const problem of [...own.problems, ...remote.problems]) toast.error(problem);
      const found = new Map([...own.found, ...remote.found]);
      const { id } = await ask(endpoints.startSignature, {
        body: {
          kind: "document",
          document: signature.documentWith(found).toJSON() as object,
          name: person && signature.taken.size > 0 ? `${person.person.name}` : nameFor(existing.name),
          person: signature.taken.size > 0 ? (person?.id ?? null) : null,
        },
      });
      recordStarted(id);
      router.push(`/signatures/${id}`);
    } catch (error) {
      toast.error((error as Error).message);
      setProgress(null);
    }
  };

  const stop = (): void => {
    stopping.current?.abort();
    setProgress(null);
  };

  return (
    <main className="mx-auto grid max-w-[1240px] gap-x-8 gap-y-4 px-5 pb-10 pt-3 lg:grid-cols-[minmax(0,1fr)_370px]">
      <div className="grid content-start gap-4">
        <div>
          <h1
            ref={heading}
            tabIndex={-1}
            className="outline-none font-serif text-[34px] leading-10 tracking-tight"
          >
            What you have already
          </h1>
          <p className="text-soft">{existing.name}</p>
        </div>
        {existing.blocks.length > 1 && (
          <BlockChoice
            blocks={existing.blocks}
            chosen={signature.block}
            message={existing.reading.html}
            local={shownHere}
            onChoose={signature.chooseBlock}
          />
        )}
        <section aria-labelledby="was" className="border-t border-hairline pt-2">
          <h2 id="was" className="pb-1.5 font-serif text-lg">
            As it was
          </h2>
          <div className="border border-hairline bg-sheet p-1.5">
            <SignatureFrame html={was} label="As it was" width={800} highest={300} area={importArea} fit />
          </div>
        </section>
        <section aria-labelledby="becomes" className="border-t border-pine pt-2">
          <div className="flex items-baseline gap-3 pb-1.5">
            <h2 id="becomes" className="font-serif text-lg">
              As it begins here
            </h2>
            <DifferenceLine difference={difference} />
          </div>
          <div className="border border-hairline bg-sheet p-1.5">
            <SignatureFrame
              html={becomes}
              label="As it begins here"
              width={800}
              highest={300}
              area={importArea}
              fit
            />
          </div>
        </section>
      </div>
      <aside aria-label="What becomes of it" className="grid content-start gap-5 lg:pt-2">
        <div className="flex flex-wrap items-center gap-2">
          {progress === null ? (
            <>
              <Button look="primary" onClick={() => void begin()}>
                Start with it
              </Button>
              <Button onClick={onBack}>Something else</Button>
            </>
          ) : (
            <>
              <span role="status" className="text-sm">
                {progress}
              </span>
              <Button onClick={stop}>Stop</Button>
            </>
          )}
        </div>
        <PictureChoice
          pictures={imported.pictures}
          existing={existing}
          chosen={signature.chosen}
          onFiles={signature.addPictures}
          taken={taken}
          onTaken={(address, wanted) =>
            setTaken((known) => {
              const next = new Set(known);
              if (wanted) next.add(address);
              else next.delete(address);
              return next;
            })
          }
        />
        <DetailChoice signature={signature} people={people} />
        <section aria-labelledby="report">
          <h2 id="report" className="pb-2 font-serif text-xl">
            What became of the rest
          </h2>
          <ImportReport groups={signature.groups} />
        </section>
      </aside>
      <MeasuringFrame frame={measuring} />
    </main>
  );
}
