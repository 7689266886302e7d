import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { findCut } from "@/server/pictures/cuts";
import { cutAsAsked } from "@/server/pictures/placing";

export const GET = handle(endpoints.findCut, async ({ query }) => ({ cut: await findCut(query.source) }));

export const POST = handle(endpoints.makeCut, async ({ body }) => ({ cut: await cutAsAsked(body) }));
