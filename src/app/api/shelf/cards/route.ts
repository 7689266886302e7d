import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { shelfCards } from "@/server/shelf/shelf";

export const POST = handle(endpoints.shelfCards, async ({ body }) => ({ cards: await shelfCards(body.ids) }));
