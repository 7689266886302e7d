"use client";

/** Photographs on their way to people: uploaded one by one, and matched by what they are called. Whatever is stopped leaves what has come. */
import { useEffect, useRef, useState } from "react";
import { endpoints, type DirectoryPerson, type Original, type RefusedFile } from "@/contract";
import { matchPhotos } from "@/core/people";
import { ask, send } from "../../parts/asking/ask";
import type { Photograph } from "./photographs";

export interface PhotoMatch {
  readonly original: Original;
  /** What its file is called, which may be in the library under another name. */
  readonly name: string;
  /** Whose it is; null for nobody's. */
  readonly personId: string | null;
}

export interface Photos {
  readonly done: number;
  /** Null while photographs are on their way. */
  readonly matches: readonly PhotoMatch[] | null;
  readonly refused: readonly RefusedFile[];
  readonly people: ReadonlyMap<string, DirectoryPerson>;
  readonly stop: () => void;
  /** Makes one somebody's, and no other theirs any more. */
  readonly give: (hash: string, personId: string | null) => void;
}

/** What has come, and what tells whose it is. */
type Come = Pick<PhotoMatch, "original" | "name"> & Pick<Photograph, "called">;

export function usePhotos(photographs: readonly Photograph[]): Photos {
  const [done, setDone] = useState(0);
  const [matches, setMatches] = useState<readonly PhotoMatch[] | null>(null);
  const [refused, setRefused] = useState<readonly RefusedFile[]>([]);
  const [people, setPeople] = useState<ReadonlyMap<string, DirectoryPerson>>(new Map());
  const stopping = useRef<AbortController | null>(null);

  useEffect(() => {
    const controller = new AbortController();
    stopping.current = controller;
    const { signal } = controller;
    let left = false;
    const bring = async (): Promise<void> => {
      const everybody = ask(endpoints.typedPeople);
      const come = new Map<string, Come>();
      const problems: RefusedFile[] = [];
      for (const [index, { file, called }] of photographs.entries()) {
        if (signal.aborted) break;
        try {
          const added = await send(endpoints.addPictures, { file, signal });
          const packed = /\.zip$/i.test(file.name);
          for (const original of added.originals) {
            const { name } = packed ? original : file;
            come.set(original.hash, { original, name, called: packed ? name : called });
          }
          problems.push(...added.refused);
        } catch (error) {
          if (!signal.aborted) problems.push({ name: file.name, message: (error as Error).message });
        }
        if (left) return;
        setDone(index + 1);
      }
      const found = await everybody.then(
        (answer) => answer.people,
        (error: Error) => {
          problems.push({ name: "The directory", message: error.message });
          return [];
        },
      );
      if (left) return;
      const named = [...come.values()];
      const whose = matchPhotos(
        named.map(({ called }) => called),
        found,
      );
      setPeople(new Map(found.map((each) => [each.id, each])));
      setRefused(problems);
      setMatches(named.map((each, index) => ({ ...each, personId: whose[index]?.id ?? null })));
    };
    void bring();
    return () => {
      left = true;
      controller.abort();
    };
  }, [photographs]);

  return {
    ...{ done, matches, refused, people },
    stop: () => stopping.current?.abort(),
    give: (hash, personId) =>
      setMatches(
        (before) =>
          before?.map((match) =>
            match.original.hash === hash
              ? { ...match, personId }
              : personId !== null && match.personId === personId
                ? { ...match, personId: null }
                : match,
          ) ?? null,
      ),
  };
}
