import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { placeFiles } from "@/server/mailroom/desk-files";

export const POST = handle(endpoints.placeFiles, async ({ params, body }) =>
  placeFiles(params.person, params.client, body.files),
);
