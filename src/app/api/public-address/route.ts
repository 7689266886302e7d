import { object, string } from "yup";
import { findPublicAddress, setPublicBase } from "@/server/addresses/public-address";
import { readBody, route } from "@/server/http/route";

export const GET = route(async () => findPublicAddress());

const asked = object({
  base: string().max(300, "An address has at most 300 characters.").nullable().defined(),
});

/** Sets the address; null goes back to the one of the environment. */
export const PUT = route(async (request) => setPublicBase((await readBody(request, asked)).base));
