import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { restoreInstall } from "@/server/install/installs";

export const POST = handle(endpoints.restoreInstall, async ({ params }) => restoreInstall(params.id));
