import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { mailKit } from "@/server/mailroom/rehearsals";

export const POST = handle(endpoints.mailKit, async ({ params, body }) =>
  mailKit(params.person, body.signature),
);
