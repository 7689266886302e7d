/**
 * What this window has saved. A page that was asked for before a save, and comes after it, brings an older document
 * along; work goes on from the newer one.
 */
import type { Node } from "prosemirror-model";
import type { OpenSignature } from "@/contract";

const saved = new Map<string, Pick<OpenSignature, "revision" | "document">>();

export function recordSaved(id: string, revision: number, document: Node): void {
  saved.set(id, { revision, document: document.toJSON() });
  saves()?.postMessage({ id, revision } satisfies SaveElsewhere);
}

/** That another window of this browser has saved. */
export interface SaveElsewhere {
  readonly id: string;
  readonly revision: number;
}

let channel: BroadcastChannel | null = null;

/** Where the windows of this browser tell each other of their saves; null outside a browser. */
export function saves(): BroadcastChannel | null {
  if (typeof window === "undefined") return null;
  channel ??= new BroadcastChannel("still-line saves");
  return channel;
}

/** The signature as it was opened, or as this window has saved it since. */
export function newestOf(opened: OpenSignature): OpenSignature {
  const own = saved.get(opened.id);
  return own && own.revision > opened.revision ? { ...opened, ...own } : opened;
}
