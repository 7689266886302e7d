import { endpoints, type KitsMade } from "@/contract";
import { handle, linesAnswer } from "@/server/http/handle";
import { makeKits, prepareKits } from "@/server/install/kits-for-all";

export const POST = handle(endpoints.makeKits, async ({ params, body, signal: left }) => {
  const prepared = await prepareKits(params.id, params.kind, body);
  return linesAnswer<KitsMade>((send, signal) => makeKits(prepared, send, signal), left);
});
