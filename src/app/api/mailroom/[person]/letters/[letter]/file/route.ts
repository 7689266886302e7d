import { endpoints } from "@/contract";
import { bytesAnswer, handle } from "@/server/http/handle";
import { letterFile } from "@/server/mailroom/letters";

export const GET = handle(endpoints.downloadLetter, async ({ params }) =>
  bytesAnswer(await letterFile(params.person, params.letter), {
    "content-type": "message/rfc822",
    "content-disposition": 'attachment; filename="letter.eml"',
  }),
);
