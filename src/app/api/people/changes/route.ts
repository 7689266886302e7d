import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { changePeople } from "@/server/people/change-people";

export const POST = handle(endpoints.changePeople, async ({ body }) => changePeople(body.changes));
