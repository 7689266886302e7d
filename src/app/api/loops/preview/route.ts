import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { previewLoop } from "@/server/pictures/loops";

export const POST = handle(endpoints.previewLoop, async ({ body }) => previewLoop(body.loop));
