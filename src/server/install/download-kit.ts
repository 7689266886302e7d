/** A kit as one file: itself where it is one, else all of its files in a zip. */
import { fileNameOf } from "@/core/compile";
import { kitFiles, zipKit } from "@/core/install";
import { isKitKind, type PicturesIn } from "@/core/install-kinds";
import { clientForKind } from "@/core/desks";
import { notFound } from "../http/refusal";
import { happenedToSignature } from "../mailroom/happenings";
import { findDetails } from "../people/people";
import { findSignature } from "../signatures/signatures";
import { kitSource } from "./kit-source";

export interface DownloadedKit {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

export interface KitWishes {
  readonly pictures?: PicturesIn | undefined;
  /** Whose details it has; left out, those of the person that the signature is drawn for. */
  readonly person?: string | undefined;
}

/** Refuses a kind, a signature and a person that there are not. */
export async function downloadKit(
  signatureId: string,
  kind: string,
  { pictures: picturesIn, person: wanted }: KitWishes = {},
): Promise<DownloadedKit> {
  if (!isKitKind(kind)) throw notFound("kit");
  const signature = await findSignature(signatureId);
  const person = await findDetails(wanted ?? signature.personId);
  if (wanted !== undefined && person === null) throw notFound("person");
  const files = kitFiles(kind, await kitSource(signature, person), picturesIn);
  const client = clientForKind(kind);
  if (client) await happenedToSignature(signatureId, client.id, "downloaded");
  const [only, ...others] = files;
  if (only && others.length === 0) return { name: only.path, type: only.type, bytes: only.bytes };
  return {
    name: fileNameOf(`${signature.name} for ${kind}`, ".zip"),
    type: "application/zip",
    bytes: zipKit(files),
  };
}
