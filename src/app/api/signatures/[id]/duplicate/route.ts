import { route } from "@/server/http/route";
import { duplicateSignature } from "@/server/signatures/signatures";

export const POST = route<{ id: string }>(async (_request, { id }) => ({ id: await duplicateSignature(id) }));
