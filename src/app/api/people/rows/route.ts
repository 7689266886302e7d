import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { typedPeople } from "@/server/people/find-people";

export const POST = handle(endpoints.peopleRows, async ({ body }) => ({
  people: await typedPeople(body.ids),
}));
