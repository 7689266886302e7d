import { mixed, object } from "yup";
import { readBody, route } from "@/server/http/route";
import { startLoop } from "@/server/pictures/loops";
import { readLoopSource } from "@/server/pictures/recipe-schema";

const asked = object({ source: mixed().required() });

/** What a loop begins as for its source. */
export const POST = route(async (request) => ({
  loop: await startLoop(await readLoopSource((await readBody(request, asked)).source)),
}));
