import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { restoreSignature } from "@/server/signatures/signatures";

export const POST = handle(endpoints.restoreSignature, async ({ params }) => restoreSignature(params.id));
