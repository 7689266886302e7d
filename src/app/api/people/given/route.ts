import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { givenTo } from "@/server/people/who-gets-what";

export const POST = handle(endpoints.peopleGiven, async ({ body }) => ({ people: await givenTo(body.ids) }));
