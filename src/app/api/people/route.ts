import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { listPeople } from "@/server/people/people";

export const GET = handle(endpoints.listPeople, async () => ({ people: await listPeople() }));
