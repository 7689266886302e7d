import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { findCuts } from "@/server/pictures/cuts";
import { colorsOfCuts } from "@/server/pictures/picture-colors";

export const POST = handle(endpoints.findPictureColors, async ({ body }) => ({
  colors: await colorsOfCuts(await findCuts(body.sources)),
}));
