import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { correctOwn } from "@/server/pages/own-page";

export const POST = handle(endpoints.askForCorrection, async ({ params, body }) =>
  correctOwn(params.secret, body.said),
);
