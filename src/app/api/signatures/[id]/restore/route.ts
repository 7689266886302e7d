import { route } from "@/server/http/route";
import { restoreSignature } from "@/server/signatures/signatures";

export const POST = route<{ id: string }>(async (_request, { id }) => restoreSignature(id));
