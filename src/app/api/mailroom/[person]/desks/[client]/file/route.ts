import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { heldFile } from "@/server/mailroom/parts";

export const GET = handle(endpoints.deskFile, async ({ params, query }) =>
  heldFile(params.person, params.client, query.path),
);
