"use client";

import { Trash2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type DirectoryPerson, type StartRequest } from "@/contract";
import { ask } from "../parts/asking/ask";
import { IconButton } from "../parts/icon-button";
import { lazily, useAhead } from "../parts/lazily";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { ExistingSource } from "./existing/existing-source";
import type { Existing } from "./existing/read-existing";
import { GridPicker } from "./grid-picker";
import { recordStarted } from "../signature/just-started";

const room = lazily(() => import("./existing/existing-room").then(({ ExistingRoom }) => ExistingRoom));
const ExistingRoom = room.Component;
const ahead = [room];

export interface DrawnPattern {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  readonly own: boolean;
  readonly html: string;
}

interface Props {
  readonly patterns: readonly DrawnPattern[];
  readonly people: readonly DirectoryPerson[];
  readonly base: string;
}

/** Beginning a signature: from a blank table, from a pattern, or from what somebody has already. */
export function StartPage({ patterns, people, base }: Props) {
  const router = useRouter();
  const [starting, setStarting] = useState(false);
  const [existing, setExisting] = useState<Existing | null>(null);
  useAhead(ahead);

  const start = async (asked: StartRequest): Promise<void> => {
    if (starting) return;
    setStarting(true);
    try {
      const { id } = await ask(endpoints.startSignature, { body: asked });
      recordStarted(id);
      router.push(`/signatures/${id}`);
    } catch (error) {
      toast.error((error as Error).message);
      setStarting(false);
    }
  };

  const remove = async ({ id, name }: DrawnPattern): Promise<void> => {
    try {
      await ask(endpoints.deletePattern, { params: { id } });
      toast(`The pattern “${name}” is gone; signatures started from it stay.`);
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  /** What is a signature of ours begins at once: there is nothing to ask about it. */
  const take = (read: Existing): void => {
    const { document } = read.reading;
    if (!document) return setExisting(read);
    const name = read.name.replace(/\.[a-z0-9]+$/i, "").slice(0, 80) || "Imported";
    void start({ kind: "document", document: document.toJSON() as object, name, person: null });
  };

  if (existing)
    return <ExistingRoom existing={existing} people={people} base={base} onBack={() => setExisting(null)} />;

  return (
    <main className="mx-auto grid max-w-[1240px] gap-x-10 gap-y-6 px-5 pb-10 pt-3 lg:grid-cols-[330px_minmax(0,1fr)]">
      <section aria-labelledby="blank" className="lg:sticky lg:top-4 lg:self-start">
        <h1 className="pb-3 font-serif text-[38px] leading-[44px] tracking-tight">Start a signature</h1>
        <div className="border-t border-pine pt-2">
          <h2 id="blank" className="font-serif text-xl">
            A blank table
          </h2>
          <p className="mb-3 text-soft">
            Drag over as many rows and columns as you need. Both can be changed at any time.
          </p>
          <GridPicker
            disabled={starting}
            onPick={(rows, columns) => void start({ kind: "blank", rows, columns })}
          />
        </div>
        <div className="mt-5 border-t border-hairline pt-2">
          <h2 className="pb-2 font-serif text-xl">What you have already</h2>
          <ExistingSource disabled={starting} onRead={take} />
        </div>
      </section>
      <section aria-labelledby="patterns">
        <h2 id="patterns" className="pb-3 pt-3 font-serif text-xl">
          Or a pattern
        </h2>
        <ul className="grid gap-x-8 gap-y-6 md:grid-cols-2">
          {patterns.map((pattern) => (
            <li key={pattern.id} className="border-t border-hairline pt-2">
              <div className="flex items-baseline gap-2">
                <h3 className="font-serif text-lg">{pattern.name}</h3>
                {pattern.own && <span className="text-xs text-soft">yours</span>}
                {pattern.own && (
                  <IconButton
                    label={`Take the pattern ${pattern.name} away`}
                    className="ml-auto"
                    onClick={() => void remove(pattern)}
                  >
                    <Trash2 size={14} aria-hidden />
                  </IconButton>
                )}
              </div>
              <button
                type="button"
                disabled={starting}
                aria-label={`Start from ${pattern.name}`}
                onClick={() => void start({ kind: "pattern", pattern: pattern.id })}
                className="mt-1 block w-full border border-hairline bg-canvas p-1.5 text-left hover:border-pine"
              >
                <SignatureFrame
                  html={localPictures(pattern.html, base)}
                  label={`${pattern.name}, as it looks`}
                  width={390}
                  highest={130}
                  fit
                />
              </button>
              <p className="mt-1 text-sm text-soft">{pattern.reason}</p>
            </li>
          ))}
        </ul>
      </section>
    </main>
  );
}
