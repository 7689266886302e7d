import { number, object } from "yup";
import { readBody, route } from "@/server/http/route";
import { startSignature } from "@/server/signatures/signatures";

const table = object({
  rows: number().integer().min(1).max(6).required(),
  columns: number().integer().min(1).max(8).required(),
});

export const POST = route(async (request) => {
  const { rows, columns } = await readBody(request, table);
  return { id: await startSignature(rows, columns) };
});
