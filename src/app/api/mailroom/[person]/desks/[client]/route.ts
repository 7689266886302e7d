import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepDesk, openDesk } from "@/server/mailroom/desk";

export const GET = handle(endpoints.openDesk, async ({ params }) => openDesk(params.person, params.client));

export const PUT = handle(endpoints.keepDesk, async ({ params, body }) =>
  keepDesk(params.person, params.client, body),
);
