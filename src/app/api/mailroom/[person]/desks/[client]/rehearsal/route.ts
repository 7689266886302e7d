import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { beginRehearsal, endRehearsal, rehearsalAt, tellRehearsal } from "@/server/mailroom/rehearsals";

export const GET = handle(endpoints.findRehearsal, async ({ params }) => ({
  rehearsal: await rehearsalAt(params.person, params.client),
}));

export const POST = handle(endpoints.beginRehearsal, async ({ params, body }) =>
  beginRehearsal(params.person, params.client, body.signature),
);

export const PATCH = handle(endpoints.tellRehearsal, async ({ params, body }) =>
  tellRehearsal(params.person, params.client, body.happened),
);

export const DELETE = handle(endpoints.endRehearsal, async ({ params }) =>
  endRehearsal(params.person, params.client),
);
