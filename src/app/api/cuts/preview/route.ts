import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { previewCut } from "@/server/pictures/cuts";

export const POST = handle(endpoints.previewCut, async ({ body }) => previewCut(body.original, body.recipe));
