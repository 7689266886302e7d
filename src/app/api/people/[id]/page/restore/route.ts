import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { restorePage } from "@/server/pages/pages";

export const POST = handle(endpoints.restorePage, async ({ params }) => restorePage(params.id));
