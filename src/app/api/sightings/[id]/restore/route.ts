import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { restoreSighting } from "@/server/install/sightings";

export const POST = handle(endpoints.restoreSighting, async ({ params }) => restoreSighting(params.id));
