"use client";

import { format } from "date-fns";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { Refreshing } from "../parts/asking/use-refreshing";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";

export interface Waiting {
  readonly refusedId: string;
  readonly signatureId: string;
  /** The signature's name. */
  readonly name: string;
  readonly html: string;
  readonly base: string;
  /** ms since 1970. */
  readonly createdAt: number;
}

interface Props {
  readonly waiting: readonly Waiting[];
  /** Runs what a button asks for, says what went wrong, and draws the Shelf anew. */
  readonly attempt: Refreshing;
}

const choices = [
  { keep: "apart", label: "Put it on the Shelf", look: "primary" },
  { keep: "mine", label: "Go on with it instead", look: "plain" },
  { keep: "saved", label: "Let it go", look: "quiet" },
] as const;

/** Versions that were not saved because the signature was changed in two windows, and that nobody has chosen about. */
export function WaitingList({ waiting, attempt }: Props) {
  if (waiting.length === 0) return null;
  return (
    <section aria-labelledby="waiting" className="mb-7 border-t border-clay pt-2">
      <h2 id="waiting" className="font-serif text-xl">
        {waiting.length === 1 ? "A version waits for you" : `${waiting.length} versions wait for you`}
      </h2>
      <p className="mb-3 text-soft">
        {waiting.length === 1 ? "It was" : "They were"} changed in one window after another had saved. Nothing
        is lost.
      </p>
      <ul className="grid gap-x-9 gap-y-4 md:grid-cols-2">
        {waiting.map(({ refusedId, signatureId, name, html, base, createdAt }) => (
          <li key={refusedId} className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-4">
            <div>
              <h3 className="mb-1 truncate text-sm">
                {name} <span className="text-soft">at {format(createdAt, "d MMM, HH:mm")}</span>
              </h3>
              <div className="border border-hairline bg-canvas p-2">
                <SignatureFrame
                  html={localPictures(html, base)}
                  label={`${name}, as it waits`}
                  width={380}
                  height={140}
                  fit
                />
              </div>
            </div>
            <div className="flex flex-col items-start gap-1.5 pt-6">
              {choices.map(({ keep, label, look }) => (
                <Button
                  key={keep}
                  look={look}
                  aria-label={`${label}: ${name}`}
                  onClick={() =>
                    void attempt(async () => {
                      const { other } = await ask(endpoints.settleRefusedSave, {
                        params: { id: signatureId },
                        body: { refusedId, keep },
                      });
                      // Nothing is thrown away, and where it is has to be known.
                      if (other.kind === "version")
                        toast(`The other one is among the versions of ${name} as “${other.name}”.`);
                    })
                  }
                >
                  {label}
                </Button>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
