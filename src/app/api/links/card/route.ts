import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { hostCardOf } from "@/server/links/hosted-files";

export const POST = handle(endpoints.hostCard, async ({ body }) => ({
  href: await hostCardOf(body.personId),
}));
