/** A kit as one file: itself where it is one, else all of its files in a zip. */
import { fileNameOf } from "@/core/compile";
import { kitFiles, kitKinds, picturesOfKit, zipKit, type KitKind, type PicturesIn } from "@/core/install";
import type { Person } from "@/core/people";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import { notFound } from "../http/refusal";
import { findPerson } from "../people/people";
import { findSignature } from "../signatures/signatures";
import { kitPictures } from "../store/kit-pictures";
import { pictureStore } from "../store/store";

export interface DownloadedKit {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

const isKind = (kind: string): kind is KitKind => (kitKinds as readonly string[]).includes(kind);

const personFor = async (id: string | null): Promise<Person | null> =>
  id === null ? null : ((await findPerson(id))?.person ?? null);

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
  if (!isKind(kind)) throw notFound("kit");
  const { name, personId, document } = await findSignature(signatureId);
  const found = await personFor(wanted ?? personId);
  if (wanted !== undefined && found === null) throw notFound("person");
  const full = parseSignature(document);
  const source = {
    name,
    full,
    short: hasShortForm(full) ? shortForm(full) : null,
    person: found,
    base: await publicBase(),
  };
  const pictures = await kitPictures(pictureStore(), picturesOfKit(source));
  const files = kitFiles(kind, { ...source, pictures }, picturesIn);
  const [only, ...others] = files;
  if (only && others.length === 0) return { name: only.path, type: only.type, bytes: only.bytes };
  return { name: fileNameOf(`${name} for ${kind}`, ".zip"), type: "application/zip", bytes: zipKit(files) };
}
