/** Finds what will go wrong with a signature beside the page, so that nobody who types waits for it. */
import { checkSignature, type CheckOptions, type Finding } from "@/core/checks";
import { parseSignature } from "@/core/signature";

export interface FindingsRequest extends CheckOptions {
  /** The document's JSON. */
  readonly document: unknown;
}

export type FindingsAnswer = readonly Finding[];

addEventListener("message", ({ data }: MessageEvent<FindingsRequest>) => {
  const { document, ...options } = data;
  const found: FindingsAnswer = checkSignature(parseSignature(document), options);
  postMessage(found);
});
