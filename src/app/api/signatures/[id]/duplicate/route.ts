import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { duplicateSignature } from "@/server/signatures/signatures";

export const POST = handle(endpoints.duplicateSignature, async ({ params }) => ({
  id: await duplicateSignature(params.id),
}));
