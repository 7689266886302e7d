import { route } from "@/server/http/route";
import { listPeople } from "@/server/people/people";

export const GET = route(async () => ({ people: await listPeople() }));
