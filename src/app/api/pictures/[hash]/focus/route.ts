import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { suggestFocus } from "@/server/pictures/originals";

export const GET = handle(endpoints.suggestFocus, async ({ params }) => ({
  focus: await suggestFocus(params.hash),
}));
