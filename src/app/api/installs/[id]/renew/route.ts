import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { renewInstall } from "@/server/install/installs";

export const POST = handle(endpoints.renewInstall, async ({ params, body }) =>
  renewInstall(params.id, body.revision),
);
