import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { placeKit } from "@/server/mailroom/desk-files";

export const POST = handle(endpoints.placeKit, async ({ params, body }) =>
  placeKit(params.person, params.client, body.signature),
);
