/**
 * What this window has saved. A page that was asked for before a save, and comes after it, brings an older document
 * along; work goes on from the newer one.
 */
import type { Node } from "prosemirror-model";
import type { OpenSignature } from "@/contract";

const saved = new Map<string, Pick<OpenSignature, "revision" | "document">>();

export function recordSaved(id: string, revision: number, document: Node): void {
  saved.set(id, { revision, document: document.toJSON() });
}

/** The signature as it was opened, or as this window has saved it since. */
export function newestOf(opened: OpenSignature): OpenSignature {
  const own = saved.get(opened.id);
  return own && own.revision > opened.revision ? { ...opened, ...own } : opened;
}
