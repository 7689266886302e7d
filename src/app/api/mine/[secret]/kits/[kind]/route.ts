import { endpoints } from "@/contract";
import { bytesAnswer, handle } from "@/server/http/handle";
import { ownKit } from "@/server/pages/own-page";

export const GET = handle(endpoints.ownKit, async ({ params, query }) => {
  const { name, type, bytes } = await ownKit(params.secret, params.kind, query);
  return bytesAnswer(bytes, {
    "content-type": type,
    "content-disposition": `attachment; filename="${name}"`,
  });
});
