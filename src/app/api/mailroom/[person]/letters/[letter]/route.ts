import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { openLetter, throwLetter } from "@/server/mailroom/letters";

export const GET = handle(endpoints.openLetter, async ({ params }) =>
  openLetter(params.person, params.letter),
);

export const DELETE = handle(endpoints.throwLetter, async ({ params }) =>
  throwLetter(params.person, params.letter),
);
