import type { StartRequest } from "@/contract";
import { blankSignature } from "@/core/signature";
import { findPattern } from "../patterns/patterns";
import { startSignature } from "./signatures";

/** A new signature, from a pattern or a blank table. Resolves with its id. */
export async function startAsAsked(asked: StartRequest): Promise<string> {
  if (asked.kind === "blank") return startSignature(blankSignature(asked.rows, asked.columns).toJSON());
  const { document, name } = await findPattern(asked.pattern);
  return startSignature(document, name);
}
