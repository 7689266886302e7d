import { endpoints } from "@/contract";
import { bytesAnswer, handle } from "@/server/http/handle";
import { downloadKit } from "@/server/install/download-kit";

export const GET = handle(endpoints.downloadKit, async ({ params, query }) => {
  const { name, type, bytes } = await downloadKit(params.id, params.kind, query);
  return bytesAnswer(bytes, {
    "content-type": type,
    "content-disposition": `attachment; filename="${name}"`,
  });
});
