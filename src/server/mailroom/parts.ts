/** Files of the Mailroom as answers: pictures are shown, and anything else is only handed out. */
import { bytesAnswer } from "../http/handle";
import { notFound } from "../http/refusal";
import { deskFile } from "./desk-files";
import { letterOf } from "./letters";
import { pictureType } from "./picture-type";

function fileAnswer(bytes: Uint8Array, name: string): Response {
  const type = pictureType(bytes);
  return bytesAnswer(bytes, {
    "content-type": type ?? "application/octet-stream",
    "x-content-type-options": "nosniff",
    "cache-control": "private, no-cache",
    ...(type === null
      ? { "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name || "file")}` }
      : {}),
  });
}

/** A file that came with a letter. */
export async function letterPart(personId: string, letterId: string, partId: string): Promise<Response> {
  const part = (await letterOf(personId, letterId)).parts.find(({ id }) => id === partId);
  if (!part) throw notFound("part");
  return fileAnswer(part.bytes, part.name);
}

/** A file of a client. */
export const heldFile = async (personId: string, clientId: string, path: string): Promise<Response> =>
  fileAnswer(await deskFile(personId, clientId, path), path.slice(path.lastIndexOf("/") + 1));
