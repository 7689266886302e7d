"use client";

/** Taking pictures in that came along with something: each is kept as an original, and cut as wide as it is shown. */
import { endpoints, type AddedFiles, type Cut } from "@/contract";
import type { FoundPicture, MentionedPicture } from "@/core/importing";
import { ask, send } from "../parts/asking/ask";

export interface ToTakeIn {
  /** As the HTML names it. */
  readonly address: string;
  readonly file: File;
  /** How wide it is shown; px. */
  readonly width: number;
}

export interface TakenIn {
  /** What stands for each address. */
  readonly found: ReadonlyMap<string, FoundPicture>;
  readonly cuts: readonly Cut[];
  /** What could not be taken in, or only in part, in sentences. */
  readonly problems: readonly string[];
}

const widestShown = 600;

interface Wanted {
  readonly address: string;
  readonly width: number;
  readonly name: string;
  readonly add: () => Promise<AddedFiles>;
}

async function takeAll(
  pictures: readonly Wanted[],
  onProgress: (done: number) => void,
  signal?: AbortSignal,
): Promise<TakenIn> {
  const found = new Map<string, FoundPicture>();
  const cuts: Cut[] = [];
  const problems: string[] = [];
  for (const [index, { address, width, name, add }] of pictures.entries()) {
    if (signal?.aborted) break;
    try {
      const { originals, refused, notes } = await add();
      problems.push(...refused.map(({ message }) => message), ...notes);
      const [original] = originals;
      if (original) {
        const widest = Math.max(1, Math.min(width, widestShown));
        const { cut } = await ask(endpoints.makeCut, {
          body: { kind: "whole", original: original.hash, widest },
        });
        cuts.push(cut);
        found.set(address, { source: cut.source, width: cut.width, height: cut.height });
      }
    } catch (error) {
      problems.push(`${name}: ${(error as Error).message}`);
    }
    onProgress(index + 1);
  }
  return { found, cuts, problems };
}

/** Takes files in one after the other; `onProgress` hears how many are done. Stops before the next once aborted. */
export const takeIn = (
  pictures: readonly ToTakeIn[],
  onProgress: (done: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<TakenIn> =>
  takeAll(
    pictures.map(({ address, file, width }) => ({
      address,
      width,
      name: file.name,
      add: () => send(endpoints.addPictures, { file }),
    })),
    onProgress,
    signal,
  );

/** Takes pictures in that lie elsewhere, each as wide as it is shown. */
export function takeAddressesIn(
  pictures: readonly { readonly address: string; readonly width: number }[],
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<TakenIn> {
  const files: readonly Wanted[] = pictures.map(({ address, width }) => ({
    address,
    width,
    name: address,
    add: () => ask(endpoints.takePictureIn, { body: { address } }),
  }));
  return takeAll(files, onProgress, signal);
}

/** The file that a `data:` address holds; null for one that is no picture. */
function fileOfData(address: string, name: string): File | null {
  const type = /^data:(image\/[a-z0-9.+-]+)[;,]/i.exec(address)?.[1];
  if (type === undefined) return null;
  const [, body = ""] = address.split(/,(.*)/s);
  try {
    const bytes = /;base64,/i.test(address)
      ? Uint8Array.from(atob(body.replace(/\s/g, "")), (character) => character.charCodeAt(0))
      : new TextEncoder().encode(decodeURIComponent(body));
    return new File([bytes], name, { type });
  } catch {
    return null;
  }
}

/** The pictures that lie in some HTML itself, each once, as files. */
export function embeddedPictures(pictures: readonly MentionedPicture[]): readonly ToTakeIn[] {
  const wanted = new Map<string, ToTakeIn>();
  for (const { address, kind, alt, width } of pictures) {
    if (kind !== "embedded" || wanted.has(address)) continue;
    const said = alt.replace(/[^\p{L}\p{N} -]/gu, "").slice(0, 40);
    const file = fileOfData(address, said || `picture-${wanted.size + 1}`);
    if (file) wanted.set(address, { address, file, width });
  }
  return [...wanted.values()];
}
