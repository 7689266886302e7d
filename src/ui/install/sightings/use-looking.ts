"use client";

/** Looking for an installed signature in screenshots: how far it is, what came of it, and how it is ended. */
import { useEffect, useRef, useState } from "react";
import { useRouter } from "next/navigation";
import { addressOf, endpoints, type ComparedInstall, type KeptSighting } from "@/contract";
import { ask, RequestError, send } from "../../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";
import type * as lookTools from "./look-for";
import { LookError, pictureFile, readScreenshot } from "./screenshot";

export type Looking =
  | { readonly kind: "idle" }
  | { readonly kind: "looking"; readonly name: string; readonly done: number }
  | { readonly kind: "keeping"; readonly name: string }
  /** It does not hold the signature; it can be kept all the same. */
  | { readonly kind: "not-there"; readonly file: File }
  | { readonly kind: "failed"; readonly message: string };

export interface LookingActions {
  readonly looking: Looking;
  readonly look: (file: File) => void;
  /** Looks in one that is kept and was not compared. */
  readonly lookAgain: (sighting: KeptSighting) => void;
  readonly stop: () => void;
  readonly keepAnyway: (file: File) => void;
  readonly remove: (sighting: KeptSighting) => void;
}

const idle: Looking = { kind: "idle" };

const looksIn = (name: string, done = 0): Looking => ({ kind: "looking", name, done });

const loaded = (): Promise<typeof lookTools> =>
  import("./look-for").catch(() => {
    throw new LookError("What compares could not be loaded: look at the connection, and try again.");
  });

const messageOf = (error: unknown): string =>
  error instanceof LookError || error instanceof RequestError
    ? error.message
    : "It could not be compared in this browser. The screenshot is not kept: try another one.";

export function useLooking({ id, before, base }: ComparedInstall): LookingActions {
  const router = useRouter();
  const attempt = useRefreshing();
  const [looking, setLooking] = useState<Looking>(idle);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);

  /** One at a time: what is begun ends what is under way. */
  const run = async (begun: Looking, action: (signal: AbortSignal) => Promise<Looking>): Promise<void> => {
    running.current?.abort();
    const own = new AbortController();
    running.current = own;
    setLooking(begun);
    const next = await action(own.signal).catch((error: unknown): Looking => ({
      kind: "failed",
      message: messageOf(error),
    }));
    if (!own.signal.aborted) setLooking(next);
  };

  const keep = async (file: File, signal: AbortSignal): Promise<string> =>
    (await send(endpoints.keepSighting, { params: { id }, file, signal })).id;

  /** Null where the signature is not in it. */
  const lookIn = async (file: File, signal: AbortSignal, whole: boolean) => {
    const { lookFor } = await loaded();
    const onProgress = (done: number): void => {
      if (!signal.aborted) setLooking(looksIn(file.name, done));
    };
    const looked = await lookFor(file, { html: before, base, onProgress, signal, whole });
    signal.throwIfAborted();
    return looked;
  };

  return {
    looking,
    look: (file) =>
      void run(looksIn(file.name), async (signal) => {
        const looked = await lookIn(file, signal, false);
        if (!looked) return { kind: "not-there", file };
        const sighting = await keep(looked.kept, signal);
        await ask(endpoints.tellSighting, { params: { id: sighting }, body: looked.told });
        router.refresh();
        return idle;
      }),
    lookAgain: ({ id: sighting, name }) =>
      void run(looksIn(name), async (signal) => {
        const answer = await fetch(addressOf(endpoints.sightingPicture, { id: sighting }), { signal });
        if (!answer.ok) throw new LookError("The screenshot is not there any more.");
        const looked = await lookIn(new File([await answer.blob()], name), signal, true);
        if (!looked) throw new LookError("The signature as it is installed is not found in this screenshot.");
        await ask(endpoints.tellSighting, { params: { id: sighting }, body: looked.told });
        router.refresh();
        return idle;
      }),
    stop: () => {
      running.current?.abort();
      setLooking(idle);
    },
    keepAnyway: (file) =>
      void run({ kind: "keeping", name: file.name }, async (signal) => {
        await keep(await pictureFile(await readScreenshot(file), file.name), signal);
        router.refresh();
        return idle;
      }),
    remove: ({ id: sighting }) => {
      const params = { id: sighting };
      void attempt(() => ask(endpoints.removeSighting, { params })).then((removed) => {
        if (removed)
          sayRemoved(
            "The screenshot is removed.",
            () => void attempt(() => ask(endpoints.restoreSighting, { params })),
          );
      });
    },
  };
}
