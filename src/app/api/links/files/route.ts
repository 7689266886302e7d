import { readFile } from "@/server/http/read-file";
import { route } from "@/server/http/route";
import { hostFile, largestLinkedFile } from "@/server/links/hosted-files";

/** Hosts a file for a link to lead to. */
export const POST = route(async (request) => {
  const { bytes, name } = await readFile(request, largestLinkedFile);
  return { href: await hostFile(bytes, name) };
});
