import { object, string } from "yup";
import { notFound } from "@/server/http/refusal";
import { readBody, route } from "@/server/http/route";
import { hostCard } from "@/server/links/hosted-files";
import { findPerson } from "@/server/people/people";

const asked = object({ personId: string().required("Choose whose card it is.").max(80) });

/** Hosts the contact card of a person of the directory, as it is now. */
export const POST = route(async (request) => {
  const found = await findPerson((await readBody(request, asked)).personId);
  if (!found) throw notFound("person");
  return { href: await hostCard(found.person) };
});
