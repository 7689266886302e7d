import type { StartRequest } from "@/contract";
import { blankSignature } from "@/core/signature";
import { findPattern } from "../patterns/patterns";
import { describeSignature, startSignature } from "./signatures";

/** A new signature, from a pattern, a blank table or a document that was imported. Resolves with its id. */
export async function startAsAsked(asked: StartRequest): Promise<string> {
  if (asked.kind === "blank") return startSignature(blankSignature(asked.rows, asked.columns).toJSON());
  if (asked.kind === "document") {
    const id = await startSignature(asked.document, asked.name);
    if (asked.person !== null) await describeSignature(id, { personId: asked.person });
    return id;
  }
  const { document, name } = await findPattern(asked.pattern);
  return startSignature(document, name);
}
