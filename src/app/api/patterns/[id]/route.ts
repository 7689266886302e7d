import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { deletePattern } from "@/server/patterns/patterns";

export const DELETE = handle(endpoints.deletePattern, async ({ params }) => deletePattern(params.id));
