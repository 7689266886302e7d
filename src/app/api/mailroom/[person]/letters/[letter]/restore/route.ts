import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { takeLetterBack } from "@/server/mailroom/letters";

export const POST = handle(endpoints.takeLetterBack, async ({ params }) =>
  takeLetterBack(params.person, params.letter),
);
