/** Stored documents read: the same text is the same document, so those that are opened often are read once. */
import { LRUCache } from "lru-cache";
import type { Node } from "prosemirror-model";
import { parseSignature } from "@/core/signature";

/** Of texts, in UTF-16 units: about 3,000 signatures. */
const most = 32 * 2 ** 20;

const read = new LRUCache<string, Node>({ maxSize: most, sizeCalculation: (_node, text) => text.length + 1 });

/** Throws a SignatureError where the text is none of a signature. */
export function readDocument(text: string): Node {
  const before = read.get(text);
  if (before) return before;
  const document = parseSignature(JSON.parse(text));
  read.set(text, document);
  return document;
}
