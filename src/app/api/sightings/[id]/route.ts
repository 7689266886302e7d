import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { removeSighting, sightingPicture, tellSighting } from "@/server/install/sightings";

export const GET = handle(endpoints.sightingPicture, async ({ params }) => sightingPicture(params.id));

export const PUT = handle(endpoints.tellSighting, async ({ params, body }) => tellSighting(params.id, body));

export const DELETE = handle(endpoints.removeSighting, async ({ params }) => removeSighting(params.id));
