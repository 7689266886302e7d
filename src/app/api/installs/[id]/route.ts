import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { compareInstall, removeInstall } from "@/server/install/installs";

export const GET = handle(endpoints.compareInstall, async ({ params }) => compareInstall(params.id));

export const DELETE = handle(endpoints.removeInstall, async ({ params }) => removeInstall(params.id));
