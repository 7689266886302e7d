import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { peopleWithPages } from "@/server/pages/list-pages";

export const POST = handle(endpoints.pageRows, async ({ body }) => ({
  people: await peopleWithPages(body.ids),
}));
