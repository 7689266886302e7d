import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { recordOpening } from "@/server/links/answers";

const asked = object({
  address: string().required().max(2000, "An address has at most 2,000 characters."),
});

/** Says that a person opened a link and saw where it leads. */
export const POST = route(async (request) => ({
  openedAt: await recordOpening((await readBody(request, asked)).address),
}));
