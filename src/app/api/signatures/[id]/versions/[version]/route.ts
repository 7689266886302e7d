import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { deleteVersion } from "@/server/signatures/versions";

export const DELETE = handle(endpoints.deleteVersion, async ({ params }) =>
  deleteVersion(params.id, params.version),
);
