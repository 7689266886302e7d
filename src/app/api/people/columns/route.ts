import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepChosenColumns } from "@/server/people/own-fields";

export const PUT = handle(endpoints.keepColumns, async ({ body }) => keepChosenColumns(body.columns));
