import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { settleRefusedSave } from "@/server/signatures/refused-saves";

export const POST = handle(endpoints.settleRefusedSave, async ({ params, body }) =>
  settleRefusedSave(params.id, body.refusedId, body.keep),
);
