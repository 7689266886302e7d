import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepStillness } from "@/server/signatures/stillness";

export const PUT = handle(endpoints.keepStillness, async ({ params, body }) =>
  keepStillness(params.id, body),
);
