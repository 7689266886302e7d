import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { compareInstall, describeInstall, removeInstall } from "@/server/install/installs";

export const GET = handle(endpoints.compareInstall, async ({ params }) => compareInstall(params.id));

export const PATCH = handle(endpoints.describeInstall, async ({ params, body }) =>
  describeInstall(params.id, body),
);

export const DELETE = handle(endpoints.removeInstall, async ({ params }) => removeInstall(params.id));
