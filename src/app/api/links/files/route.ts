import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { hostFile } from "@/server/links/hosted-files";

export const POST = handle(endpoints.hostFile, async ({ file }) => ({
  href: await hostFile(file().bytes, file().name),
}));
