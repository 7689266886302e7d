import { endpoints } from "@/contract";
import { notFound } from "@/server/http/refusal";
import { handle } from "@/server/http/handle";
import { findPerson } from "@/server/people/people";

export const GET = handle(endpoints.findPerson, async ({ params }) => {
  const found = await findPerson(params.id);
  if (!found) throw notFound("person");
  return found;
});
