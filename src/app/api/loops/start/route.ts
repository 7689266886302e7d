import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { startLoop } from "@/server/pictures/loops";

export const POST = handle(endpoints.startLoop, async ({ body }) => ({ loop: await startLoop(body.source) }));
