import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { giveSignature } from "@/server/people/who-gets-what";

export const PUT = handle(endpoints.giveSignature, async ({ params, body }) =>
  giveSignature(params.id, body),
);
