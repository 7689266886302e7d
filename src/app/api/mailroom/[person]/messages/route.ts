import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { sendFrom } from "@/server/mailroom/mailroom";

export const POST = handle(endpoints.sendMessage, async ({ params, body }) => sendFrom(params.person, body));
