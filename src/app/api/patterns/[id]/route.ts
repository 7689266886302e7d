import { route } from "@/server/http/route";
import { deletePattern } from "@/server/patterns/patterns";

export const DELETE = route<{ id: string }>(async (_request, { id }) => deletePattern(id));
