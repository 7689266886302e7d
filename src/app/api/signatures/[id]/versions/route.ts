import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { listVersions, nameVersion } from "@/server/signatures/versions";

interface Params {
  readonly id: string;
}

const named = object({
  name: string()
    .trim()
    .required("A version that is kept needs a name.")
    .max(80, "A version's name has at most 80 characters."),
});

export const GET = route<Params>(async (_request, { id }) => ({ versions: await listVersions(id) }));

export const POST = route<Params>(async (request, { id }) => {
  const { name } = await readBody(request, named);
  return { id: await nameVersion(id, name) };
});
