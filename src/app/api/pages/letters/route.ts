import { endpoints, type LettersWritten } from "@/contract";
import { handle, linesAnswer } from "@/server/http/handle";
import { prepareLetters, writeLetters } from "@/server/pages/write-letters";

export const POST = handle(endpoints.writePageLetters, async ({ body, signal: left }) => {
  const sender = await prepareLetters(body);
  return linesAnswer<LettersWritten>((send, signal) => writeLetters(body, sender, send, signal), left);
});
