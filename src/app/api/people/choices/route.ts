import { endpoints } from "@/contract";
import { mostChoices } from "@/contract";
import { handle } from "@/server/http/handle";
import { choosePeople } from "@/server/people/find-people";

export const GET = handle(endpoints.choosePeople, async ({ query }) => ({
  choices: await choosePeople(query.look, mostChoices),
}));
