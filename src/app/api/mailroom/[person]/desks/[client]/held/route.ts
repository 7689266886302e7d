import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { changeHeld } from "@/server/mailroom/desk-files";

export const PATCH = handle(endpoints.changeHeld, async ({ params, body }) =>
  changeHeld(params.person, params.client, body),
);
