import { readBody, route } from "@/server/http/route";
import { keepLetterType, letterTypeSchema } from "@/server/letter-type/letter-type";

export const PUT = route(async (request) => keepLetterType(await readBody(request, letterTypeSchema)));
