import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { imaging } from "@/server/imaging/imaging";
import { findOriginal, readOriginal, renameOriginal } from "@/server/pictures/originals";

interface Params {
  readonly hash: string;
}

/** An original with what is worth knowing before it is cut. */
export const GET = route<Params>(async (_request, { hash }) => {
  const original = await findOriginal(hash);
  return { original, background: await imaging.findBackground(await readOriginal(hash)) };
});

const renamed = object({
  name: string().trim().required("A picture has a name.").max(120, "A name has at most 120 characters."),
});

export const PATCH = route<Params>(async (request, { hash }) => {
  const { name } = await readBody(request, renamed);
  return { original: await renameOriginal(hash, name) };
});
