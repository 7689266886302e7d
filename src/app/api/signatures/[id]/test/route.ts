import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { sendTest } from "@/server/outgoing/outgoing";

export const POST = handle(endpoints.sendTest, async ({ params, body }) => sendTest(params.id, body));
