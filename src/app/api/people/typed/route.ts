import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { directory } from "@/server/people/directory";

export const GET = handle(endpoints.typedPeople, async () => ({ people: (await directory()).typed }));
