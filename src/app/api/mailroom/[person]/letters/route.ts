import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { listLetters } from "@/server/mailroom/letters";

export const GET = handle(endpoints.listLetters, async ({ params, query }) =>
  listLetters(params.person, query),
);
