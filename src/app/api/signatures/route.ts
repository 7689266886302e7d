import { number, object, string } from "yup";
import { blankSignature } from "@/core/signature";
import { readBody, route } from "@/server/http/route";
import { findPattern } from "@/server/patterns/patterns";
import { startSignature } from "@/server/signatures/signatures";

/** A pattern by its id, or a blank table of so many rows and columns. */
const start = object({
  pattern: string(),
  rows: number().integer().min(1).max(6).default(1),
  columns: number().integer().min(1).max(8).default(2),
});

export const POST = route(async (request) => {
  const { pattern, rows, columns } = await readBody(request, start);
  if (pattern === undefined) return { id: await startSignature(blankSignature(rows, columns).toJSON()) };
  const { document, name } = await findPattern(pattern);
  return { id: await startSignature(document, name) };
});
