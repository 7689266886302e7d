import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { portraitsOf } from "@/server/people/pictures-of-people";

export const POST = handle(endpoints.portraitRows, async ({ body }) => ({
  people: await portraitsOf(body.ids),
}));
