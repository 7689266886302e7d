import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { setAside } from "@/server/signatures/signatures";

export const PUT = handle(endpoints.setAside, async ({ params, body }) => setAside(params.id, body));
