import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { tickInstall } from "@/server/install/installs";

export const PUT = handle(endpoints.tickInstall, async ({ params, body }) => tickInstall(params.id, body));
