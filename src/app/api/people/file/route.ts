import { endpoints } from "@/contract";
import { bytesAnswer, handle } from "@/server/http/handle";
import { exportPeople } from "@/server/people/export-people";

export const GET = handle(endpoints.downloadPeople, async ({ query }) => {
  const { form, look = "", department = null, order = "name" } = query;
  const { name, type, text } = await exportPeople(form, { look, department, order });
  return bytesAnswer(new TextEncoder().encode(text), {
    "content-type": type,
    "content-disposition": `attachment; filename="${name}"`,
  });
});
