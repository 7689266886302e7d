import { endpoints } from "@/contract";
import { bytesAnswer, handle } from "@/server/http/handle";
import { drawCode } from "@/server/install/draw-code";

export const GET = handle(endpoints.drawCode, async ({ params, query }) => {
  const { name, type, bytes } = await drawCode(params.id, query);
  return bytesAnswer(bytes, {
    "content-type": type,
    "content-disposition": `inline; filename="${name}"`,
    "cache-control": "no-store",
  });
});
