import { largestFile } from "@/core/pictures";
import { readFile } from "@/server/http/read-file";
import { route } from "@/server/http/route";
import { replaceOriginal, takeBackReplacement } from "@/server/pictures/replace-original";

interface Params {
  readonly hash: string;
}

export const POST = route<Params>(async (request, { hash }) => {
  const { bytes, name } = await readFile(request, largestFile);
  return replaceOriginal(hash, bytes, name);
});

/** Puts the original back in its place. */
export const DELETE = route<Params>(async (_request, { hash }) => takeBackReplacement(hash));
