import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { savePattern } from "@/server/patterns/patterns";

const asked = object({
  signatureId: string().required(),
  name: string()
    .trim()
    .required("A pattern needs a name.")
    .max(80, "A pattern's name has at most 80 characters."),
});

export const POST = route(async (request) => {
  const { signatureId, name } = await readBody(request, asked);
  return { id: await savePattern(signatureId, name) };
});
