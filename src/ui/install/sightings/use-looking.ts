"use client";

/** Looking for an installed signature in screenshots: how far it is, what came of it, and how it is ended. */
import { useEffect, useRef, useState } from "react";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { addressOf, endpoints, type ComparedInstall, type Sighting } from "@/contract";
import { ask, send } from "../../parts/asking/ask";
import type * as lookTools from "./look-for";

export type Looking =
  | { readonly kind: "idle" }
  | { readonly kind: "looking"; readonly name: string; readonly done: number }
  /** It does not hold the signature; it can be kept all the same. */
  | { readonly kind: "not-there"; readonly file: File }
  | { readonly kind: "failed"; readonly message: string };

export interface LookingActions {
  readonly looking: Looking;
  readonly look: (file: File) => void;
  /** Looks in one that is kept and was not compared. */
  readonly lookAgain: (sighting: Sighting) => void;
  readonly stop: () => void;
  readonly keepAnyway: (file: File) => void;
  readonly remove: (sighting: Sighting) => void;
}

const loaded = (): Promise<typeof lookTools> =>
  import("./look-for").catch(() => {
    throw new Error("What compares could not be loaded: look at the connection, and try again.");
  });

export function useLooking({ id, before, base }: ComparedInstall): LookingActions {
  const router = useRouter();
  const [looking, setLooking] = useState<Looking>({ kind: "idle" });
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);

  const attempt = async (action: (signal: AbortSignal) => Promise<Looking>): Promise<void> => {
    running.current?.abort();
    const own = new AbortController();
    running.current = own;
    try {
      const next = await action(own.signal);
      if (!own.signal.aborted) setLooking(next);
    } catch (error) {
      if (!own.signal.aborted) setLooking({ kind: "failed", message: (error as Error).message });
    }
  };

  const seek = (file: File, kept: Sighting | null) =>
    attempt(async (signal) => {
      setLooking({ kind: "looking", name: file.name, done: 0 });
      const { lookFor } = await loaded();
      const onProgress = (done: number): void => {
        if (!signal.aborted) setLooking({ kind: "looking", name: file.name, done });
      };
      const looked = await lookFor(file, { html: before, base, onProgress, signal, whole: kept !== null });
      if (!looked) {
        return kept
          ? { kind: "failed", message: "The signature as it is installed is not found in this screenshot." }
          : { kind: "not-there", file };
      }
      signal.throwIfAborted();
      const sighting =
        kept?.id ?? (await send(endpoints.keepSighting, { params: { id }, file: looked.kept, signal })).id;
      await ask(endpoints.tellSighting, { params: { id: sighting }, body: looked.told });
      router.refresh();
      return { kind: "idle" };
    });

  const quietly = async (action: () => Promise<unknown>): Promise<boolean> => {
    try {
      await action();
      router.refresh();
      return true;
    } catch (error) {
      toast.error((error as Error).message);
      return false;
    }
  };

  return {
    looking,
    look: (file) => void seek(file, null),
    lookAgain: (sighting) =>
      void attempt(async (signal) => {
        setLooking({ kind: "looking", name: sighting.name, done: 0 });
        const answer = await fetch(addressOf(endpoints.sightingPicture, { id: sighting.id }), { signal });
        if (!answer.ok) return { kind: "failed", message: "The screenshot is not there any more." };
        await seek(new File([await answer.blob()], sighting.name), sighting);
        return { kind: "idle" };
      }),
    stop: () => {
      running.current?.abort();
      setLooking({ kind: "idle" });
    },
    keepAnyway: (file) =>
      void attempt(async (signal) => {
        const { pictureFile, readScreenshot } = await import("./screenshot");
        const kept = await pictureFile(await readScreenshot(file), file.name);
        await send(endpoints.keepSighting, { params: { id }, file: kept, signal });
        router.refresh();
        return { kind: "idle" };
      }),
    remove: ({ id: sighting }) =>
      void (async () => {
        const params = { id: sighting };
        if (!(await quietly(() => ask(endpoints.removeSighting, { params })))) return;
        toast("The screenshot is removed.", {
          duration: 10_000,
          action: {
            label: "Take it back",
            onClick: () => void quietly(() => ask(endpoints.restoreSighting, { params })),
          },
        });
      })(),
  };
}
