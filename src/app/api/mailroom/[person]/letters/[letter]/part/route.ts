import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { letterPart } from "@/server/mailroom/parts";

export const GET = handle(endpoints.letterPart, async ({ params, query }) =>
  letterPart(params.person, params.letter, query.id),
);
