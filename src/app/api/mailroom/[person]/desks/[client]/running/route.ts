import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { runDesk } from "@/server/mailroom/desk-files";

export const POST = handle(endpoints.runDesk, async ({ params, body }) =>
  runDesk(params.person, params.client, body.running),
);
