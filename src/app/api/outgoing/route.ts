import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { forgetOutgoing, keepOutgoing } from "@/server/outgoing/outgoing";

export const PUT = handle(endpoints.keepOutgoing, async ({ body }) => keepOutgoing(body));

export const DELETE = handle(endpoints.forgetOutgoing, async () => forgetOutgoing());
