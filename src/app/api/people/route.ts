import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { listPeople } from "@/server/people/people";
import { peopleToTry } from "@/server/people/who-gets-what";

export const GET = handle(endpoints.listPeople, async ({ query: { signature } }) => ({
  people: signature === undefined ? await listPeople() : await peopleToTry(signature),
}));
