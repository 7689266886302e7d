import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { sendLetter } from "@/server/mailroom/send-letter";

export const POST = handle(endpoints.sendLetter, async ({ params, body }) =>
  sendLetter(params.person, params.client, body),
);
