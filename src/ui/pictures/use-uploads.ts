"use client";

/** Uploads that run: several at once, each with its progress, its stop, and what became of it. */
import { useRouter } from "next/navigation";
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { send } from "../parts/asking/ask";

export interface RunningUpload {
  readonly id: number;
  readonly name: string;
  /** 0 to 1. */
  readonly progress: number;
  /** Why it, or files of it, were not taken; empty while all is well. */
  readonly problems: readonly string[];
  /** What is not used of those that were taken. */
  readonly notes: readonly string[];
  readonly stop: () => void;
}

export interface Uploads {
  readonly uploads: readonly RunningUpload[];
  readonly takeAll: (files: Iterable<File>) => void;
  readonly dismiss: (id: number) => void;
}

/** So many go over the wire at the same time. */
const atOnce = 3;

export function useUploads(): Uploads {
  const router = useRouter();
  const [uploads, setUploads] = useState<readonly RunningUpload[]>([]);
  const next = useRef(0);
  const waiting = useRef<(() => Promise<void>)[]>([]);
  const running = useRef(0);

  const change = useCallback(
    (id: number, patch: Partial<RunningUpload> | null) =>
      setUploads((all) =>
        patch === null
          ? all.filter((upload) => upload.id !== id)
          : all.map((upload) => (upload.id === id ? { ...upload, ...patch } : upload)),
      ),
    [],
  );

  /** Starts what waits while there is room, and goes on when one is done. */
  const goOn = useCallback((): void => {
    const start = (): void => {
      while (running.current < atOnce) {
        const next = waiting.current.shift();
        if (!next) return;
        running.current++;
        void next().finally(() => {
          running.current--;
          start();
        });
      }
    };
    start();
  }, []);

  const take = useCallback(
    (file: File): void => {
      const id = next.current++;
      const controller = new AbortController();
      setUploads((all) => [
        ...all,
        { id, name: file.name, progress: 0, problems: [], notes: [], stop: () => controller.abort() },
      ]);
      waiting.current.push(async () => {
        try {
          if (controller.signal.aborted) throw new Error("The upload was stopped.");
          const { originals, refused, notes } = await send(endpoints.addPictures, {
            file,
            onProgress: (progress) => change(id, { progress }),
            signal: controller.signal,
          });
          const [known] = originals;
          // The same bytes are the same original, under the name that it has.
          if (known && originals.length === 1 && known.name !== file.name && known.bytes === file.size)
            toast(`“${file.name}” is here already, as “${known.name}”.`);
          const problems = refused.map(({ message }) => message);
          change(id, problems.length + notes.length > 0 ? { problems, notes } : null);
          router.refresh();
        } catch (error) {
          change(id, { problems: [(error as Error).message] });
        }
      });
      goOn();
    },
    [change, goOn, router],
  );

  const takeAll = useCallback(
    (files: Iterable<File>): void => {
      for (const file of files) take(file);
    },
    [take],
  );
  const dismiss = useCallback((id: number) => change(id, null), [change]);
  return { uploads, takeAll, dismiss };
}
