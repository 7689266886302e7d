import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { startAsAsked } from "@/server/signatures/start";

export const POST = handle(endpoints.startSignature, async ({ body }) => ({ id: await startAsAsked(body) }));
