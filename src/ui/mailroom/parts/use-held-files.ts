"use client";

/** The files that a client keeps signatures in: placed, renamed, taken out; the desk is what the client holds afterwards. */
import { useState } from "react";
import { endpoints, type Desk, type HeldChange } from "@/contract";
import type { SignatureChoice } from "@/core/desks";
import { base64 } from "@/core/mail";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";

export interface HeldFiles {
  readonly desk: Desk;
  /** Puts files into the folder; a zip is unpacked. */
  readonly place: (files: readonly File[]) => Promise<boolean>;
  readonly placeKit: (signature: string) => Promise<boolean>;
  readonly change: (change: HeldChange) => Promise<boolean>;
  readonly putUnder: (address: string, change: Partial<SignatureChoice>) => Promise<boolean>;
  readonly busy: boolean;
  readonly problem: string | null;
}

interface Placed {
  readonly path: string;
  readonly base64: string;
}

/** Where a file lies in what was dropped; a folder that holds all of it is left out. */
const pathOf = (file: File & { readonly path?: string }): string =>
  (file.webkitRelativePath || file.path || file.name).replace(/^\.?\//, "");

async function unpacked(file: File): Promise<readonly Placed[]> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!/\.zip$/i.test(file.name)) return [{ path: pathOf(file), base64: base64(bytes) }];
  const { unzipSync } = await import("fflate");
  try {
    return Object.entries(unzipSync(bytes)).flatMap(([path, held]) =>
      path.endsWith("/") ? [] : [{ path, base64: base64(held) }],
    );
  } catch {
    throw new Error(`“${file.name}” is no zip that can be unpacked. Nothing was placed.`);
  }
}

/** A folder that all of it lies in is none of the client's: its signatures lie in the folder itself. */
function withoutOuterFolder(files: readonly Placed[]): readonly Placed[] {
  const outer = /^[^/]+\//.exec(files[0]?.path ?? "")?.[0];
  const hasPage = files.some(({ path }) => /^[^/]+\/[^/]+\.html?$/i.test(path));
  return outer !== undefined && hasPage && files.every(({ path }) => path.startsWith(outer))
    ? files.map(({ path, ...file }) => ({ ...file, path: path.slice(outer.length) }))
    : files;
}

export function useHeldFiles(first: Desk): HeldFiles {
  const [desk, setDesk] = useState(first);
  const { busy, problem, attempt } = useAttempt();
  const params = { person: desk.person.id, client: desk.client };
  const done = (action: () => Promise<Desk>): Promise<boolean> =>
    attempt(async () => setDesk(await action()));

  return {
    desk,
    place: (files) =>
      done(async () => {
        const all = withoutOuterFolder((await Promise.all(files.map(unpacked))).flat());
        return ask(endpoints.placeFiles, { params, body: { files: all } });
      }),
    placeKit: (signature) => done(() => ask(endpoints.placeKit, { params, body: { signature } })),
    change: (change) => done(() => ask(endpoints.changeHeld, { params, body: change })),
    putUnder: (address, change) =>
      done(() =>
        ask(endpoints.keepDesk, {
          params,
          body: {
            signatures: [],
            choices: desk.choices.map((choice) =>
              choice.address === address ? { ...choice, ...change } : choice,
            ),
          },
        }),
      ),
    busy,
    problem,
  };
}
