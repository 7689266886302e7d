import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { tryOutgoing } from "@/server/outgoing/outgoing";

export const POST = handle(endpoints.tryOutgoing, async ({ body }) => tryOutgoing(body));
