/**
 * Publishing a signature's pictures on another web space: a zip of them to upload there, a check that each has
 * arrived byte for byte, and the signature's addresses rewritten.
 */
import { eq } from "drizzle-orm";
import { zipSync } from "fflate";
import type { Cut, Publication, PublishedPicture } from "@/contract";
import { hostedPath, readPicturePath, type HostedAddress } from "@/core/addresses";
import { keptApart } from "@/core/pictures";
import { parseSignature, pictureSourcesOf, replaceSources } from "@/core/signature";
import { database } from "../database/database";
import { publications, publishedCopies } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { findCuts, readHosted } from "../pictures/cuts";
import { findSignature, rewriteDocument } from "../signatures/signatures";
import { fetchFromWeb } from "../web/web";

interface NamedCut extends Cut {
  /** Its name in the zip, and under the base address. */
  readonly name: string;
}

/** The hosted pictures of a signature, each once, in reading order, under names that are kept apart. */
async function hostedOf(signatureId: string): Promise<readonly NamedCut[]> {
  const { document } = await findSignature(signatureId);
  const sources = pictureSourcesOf(parseSignature(document)).filter((source) => readPicturePath(source));
  const found = new Map((await findCuts(sources)).map((cut) => [cut.source, cut]));
  const cuts = sources.flatMap((source) => found.get(source) ?? []);
  if (cuts.length === 0)
    throw new Refusal(422, "no-pictures", "This signature has no picture that is hosted here.");
  const names = keptApart(cuts.map(({ fileName }) => fileName));
  return cuts.map((cut, index) => ({ ...cut, name: names[index] ?? cut.fileName }));
}

/** The address of a hosted picture; refuses what is not hosted here. */
function hostedAddress(source: string): HostedAddress {
  const address = readPicturePath(source);
  if (!address) throw notFound("picture");
  return address;
}

async function bytesOf({ source }: Cut): Promise<Buffer> {
  const { hash, fileName } = hostedAddress(source);
  const hosted = await readHosted(hash, fileName);
  if (!hosted) throw notFound("picture");
  return hosted.bytes;
}

/** All pictures of a signature in a zip, under the names that the check looks for. */
export async function zipPictures(signatureId: string): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  for (const cut of await hostedOf(signatureId)) files[cut.name] = await bytesOf(cut);
  // Pictures are compressed already.
  return zipSync(files, { level: 0 });
}

async function checkCopy(cut: NamedCut, base: string): Promise<PublishedPicture> {
  const address = `${base}/${cut.name}`;
  const known = { name: cut.name, from: cut.source, address };
  const result = await fetchFromWeb(address);
  if (!result.ok) return { ...known, ok: false, message: "No server answered there." };
  const { status, bytes } = result.fetched;
  if (status !== 200)
    return { ...known, ok: false, message: `It answers ${status}: upload the file under this name.` };
  if (contentHash(bytes) !== hostedAddress(cut.source).hash)
    return { ...known, ok: false, message: "Another file is there: upload this one in its place." };
  return { ...known, ok: true, message: "It is there, byte for byte." };
}

/** Four at a time: a web space may take more at once for an attack. */
const atOnce = 4;

/** Checks each picture under a base address; only when all are there are the signature's addresses rewritten. */
export async function publishPictures(signatureId: string, asked: string): Promise<Publication> {
  const base = asked.trim().replace(/\/+$/, "");
  if (!URL.canParse(base) || !/^https?:$/.test(new URL(base).protocol) || /[?#]/.test(base))
    throw new Refusal(
      422,
      "bad-address",
      `“${base.slice(0, 80)}” is no base address: write the address of the folder that the pictures are in.`,
    );
  const cuts = await hostedOf(signatureId);
  const pictures: PublishedPicture[] = [];
  for (let at = 0; at < cuts.length; at += atOnce)
    pictures.push(...(await Promise.all(cuts.slice(at, at + atOnce).map((cut) => checkCopy(cut, base)))));
  if (!pictures.every(({ ok }) => ok)) return { pictures, rewritten: false };
  const createdAt = Date.now();
  for (const { from, address } of pictures) {
    const copy = { ...hostedAddress(from), createdAt };
    await (
      await database()
    )
      .insert(publishedCopies)
      .values({ address, ...copy })
      .onConflictDoUpdate({ target: publishedCopies.address, set: copy });
  }
  await (
    await database()
  )
    .insert(publications)
    .values(pictures.map(({ address }) => ({ signatureId, address })))
    .onConflictDoNothing();
  const moves = new Map(pictures.map(({ from, address }) => [from, address]));
  await rewriteDocument(signatureId, (document) => replaceSources(document, moves));
  return { pictures, rewritten: true };
}

/** The copies that a signature was published at. One that was placed by its address is none of them. */
export const findPublished = async (
  signatureId: string,
): Promise<readonly (HostedAddress & { readonly address: string })[]> =>
  (await database())
    .select({
      address: publications.address,
      hash: publishedCopies.hash,
      fileName: publishedCopies.fileName,
    })
    .from(publications)
    .innerJoin(publishedCopies, eq(publications.address, publishedCopies.address))
    .where(eq(publications.signatureId, signatureId));

/** What was published of the signature is at Still Line's own addresses again. */
export async function hostHereAgain(signatureId: string): Promise<void> {
  const copies = await findPublished(signatureId);
  const moves = new Map(
    copies.map(({ address, hash, fileName }) => [address, hostedPath({ hash, fileName })]),
  );
  await rewriteDocument(signatureId, (own) => replaceSources(own, moves));
  await (await database()).delete(publications).where(eq(publications.signatureId, signatureId));
}
