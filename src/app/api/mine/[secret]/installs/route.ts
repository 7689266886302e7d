import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { recordOwnInstall } from "@/server/pages/own-page";

export const POST = handle(endpoints.recordOwnInstall, async ({ params, body }) =>
  recordOwnInstall(params.secret, body),
);
