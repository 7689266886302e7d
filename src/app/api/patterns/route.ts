import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { savePattern } from "@/server/patterns/patterns";

export const POST = handle(endpoints.savePattern, async ({ body }) => ({
  id: await savePattern(body.signatureId, body.name),
}));
