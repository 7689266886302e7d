import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepSignature } from "@/server/mailroom/mailroom";

export const PUT = handle(endpoints.keepMailroomSignature, async ({ params, body }) => ({
  html: await keepSignature(params.person, body.html),
}));
