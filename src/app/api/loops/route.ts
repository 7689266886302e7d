import { mixed, object } from "yup";
import { readBody, route } from "@/server/http/route";
import { makeLoop } from "@/server/pictures/loops";
import { readLoop } from "@/server/pictures/recipe-schema";

const asked = object({ loop: mixed().required() });

export const POST = route(async (request) => ({
  cut: await makeLoop(await readLoop((await readBody(request, asked)).loop)),
}));
