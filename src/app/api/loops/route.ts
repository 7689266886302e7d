import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { makeLoop } from "@/server/pictures/loops";

export const POST = handle(endpoints.makeLoop, async ({ body: { loop, name } }) => ({
  cut: await makeLoop(loop, name),
}));
