import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { emptyWebSpace, listWebSpace, uploadToWebSpace } from "@/server/invented-sites/web-space";

export const GET = handle(endpoints.listWebSpace, async () => ({ files: await listWebSpace() }));

export const POST = handle(endpoints.uploadToWebSpace, async ({ file }) => {
  await uploadToWebSpace(file().bytes, file().name);
  return { files: await listWebSpace() };
});

export const DELETE = handle(endpoints.emptyWebSpace, emptyWebSpace);
