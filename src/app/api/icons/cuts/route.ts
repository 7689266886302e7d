import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { drawIcons } from "@/server/icons/icons";

export const POST = handle(endpoints.drawIcons, async ({ body }) => ({
  icons: await drawIcons(body.icons, body.look, body.size),
}));
