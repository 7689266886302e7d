import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { recordOpening } from "@/server/links/answers";

export const POST = handle(endpoints.recordOpening, async ({ body }) => ({
  openedAt: await recordOpening(body.address),
}));
