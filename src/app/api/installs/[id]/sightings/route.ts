import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepSighting } from "@/server/install/sightings";

export const POST = handle(endpoints.keepSighting, async ({ params, file }) =>
  keepSighting(params.id, file()),
);
