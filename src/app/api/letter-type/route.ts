import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepLetterType } from "@/server/settings/letter-type";

export const PUT = handle(endpoints.keepLetterType, async ({ body }) => keepLetterType(body));
