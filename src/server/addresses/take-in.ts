/** Taking in a picture that lies elsewhere: fetched as any address is, and kept as an original. */
import type { AddedFiles } from "@/contract";
import { Refusal } from "../http/refusal";
import { addUpload } from "../pictures/originals";
import { fetchFromWeb } from "../web/web";

const nameOf = (address: string): string => {
  const last = new URL(address).pathname.split("/").at(-1) ?? "";
  try {
    return decodeURIComponent(last) || "picture";
  } catch {
    return last || "picture";
  }
};

/** Rejects with a Refusal for what does not answer with a file. */
export async function takePictureIn(address: string): Promise<AddedFiles> {
  const result = await fetchFromWeb(address);
  if (!result.ok)
    throw new Refusal(422, "not-fetched", "The picture could not be fetched: it stays at its address.");
  const { status, bytes } = result.fetched;
  if (status >= 400)
    throw new Refusal(422, "not-fetched", `Its server answers ${status}: the picture stays at its address.`);
  return addUpload(bytes, nameOf(address));
}
