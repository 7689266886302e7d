import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { makeLoop } from "@/server/pictures/loops";

export const POST = handle(endpoints.makeLoop, async ({ body }) => ({ cut: await makeLoop(body.loop) }));
