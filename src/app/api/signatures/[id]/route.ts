import { mixed, number, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { deleteSignature, describeSignature, saveDocument } from "@/server/signatures/signatures";

interface Params {
  readonly id: string;
}

const save = object({
  document: mixed<object>().required(),
  revision: number().integer().min(1).required(),
});

const description = object({
  name: string().trim().min(1, "A signature needs a name.").max(80, "A name has at most 80 characters."),
  personId: string().nullable(),
});

export const PUT = route<Params>(async (request, { id }) => {
  const { document, revision } = await readBody(request, save);
  return { revision: await saveDocument(id, document, revision) };
});

export const PATCH = route<Params>(async (request, { id }) => {
  await describeSignature(id, await readBody(request, description));
});

export const DELETE = route<Params>(async (_request, { id }) => deleteSignature(id));
