import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { recordInstall } from "@/server/install/installs";

export const POST = handle(endpoints.recordInstall, async ({ params, body }) =>
  recordInstall(params.id, body),
);
