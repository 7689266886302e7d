import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { settleCorrections } from "@/server/pages/corrections";

export const POST = handle(endpoints.settleCorrections, async ({ body }) => ({
  changed: await settleCorrections(body.ids, body.accept),
}));
