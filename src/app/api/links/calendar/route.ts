import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { hostCalendar } from "@/server/links/hosted-files";

export const POST = handle(endpoints.hostCalendar, async ({ body }) => ({ href: await hostCalendar(body) }));
