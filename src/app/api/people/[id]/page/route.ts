import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { makePage, withdrawPage } from "@/server/pages/pages";

export const POST = handle(endpoints.makePage, async ({ params }) => makePage(params.id));

export const DELETE = handle(endpoints.withdrawPage, async ({ params }) => withdrawPage(params.id));
