import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { emptyMailroom } from "@/server/mailroom/letters";

export const DELETE = handle(endpoints.emptyMailroom, async () => ({ letters: await emptyMailroom() }));
