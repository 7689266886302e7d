import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { detailsIn } from "@/server/people/find-people";

export const GET = handle(endpoints.detailsIn, async ({ query }) => ({
  details: await detailsIn(query.field),
}));
