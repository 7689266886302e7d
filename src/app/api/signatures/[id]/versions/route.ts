import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { listVersions, nameVersion } from "@/server/signatures/versions";

export const GET = handle(endpoints.listVersions, async ({ params }) => ({
  versions: await listVersions(params.id),
}));

export const POST = handle(endpoints.nameVersion, async ({ params, body }) => ({
  id: await nameVersion(params.id, body.name),
}));
