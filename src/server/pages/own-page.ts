/** What somebody sees on their own page, and does there: one person's data, and nothing of anybody else. */
import type { DirectoryPerson, OwnInstall, OwnPage } from "@/contract";
import type { PicturesIn } from "@/core/install-kinds";
import { typedValue, type Details, type FieldId } from "@/core/people";
import { fieldsShown } from "@/core/signature";
import { notFound } from "../http/refusal";
import { downloadKit, type DownloadedKit } from "../install/download-kit";
import { installsOfPerson, recordInstall, renewInstall } from "../install/installs";
import { directory } from "../people/directory";
import { theirSignatures } from "../people/their-signatures";
import { givenToPerson } from "../people/who-gets-what";
import { readDocument } from "../signatures/read-document";
import { findRows } from "../signatures/signatures";
import { askedBy, askForCorrection } from "./corrections";
import { ownerOf } from "./pages";

/** The fields of somebody that their signatures show, in the order in which they come; a name is what they are known by. */
async function shownFields({ id, person }: DirectoryPerson): Promise<readonly FieldId[]> {
  const rows = await findRows((await givenToPerson(id)).map((each) => each.id));
  const shown = rows.flatMap(({ document }) => fieldsShown(readDocument(document), person));
  return [...new Set<FieldId>(["name", ...shown])];
}

/** Refuses an address at which there is nothing. */
export async function ownPage(secret: string): Promise<OwnPage> {
  const owner = await ownerOf(secret);
  const { id } = owner;
  const [signatures, installs, asked, fields, { typedById }] = await Promise.all([
    theirSignatures(id),
    installsOfPerson(id),
    askedBy(id),
    shownFields(owner),
    directory(),
  ]);
  // As it was typed, since that is what is corrected.
  const { person } = typedById.get(id) ?? owner;
  return {
    name: person.name,
    signatures,
    installs: installs.filter(({ signatureId }) => signatures.some((each) => each.id === signatureId)),
    details: fields.map((field) => ({ field, value: typedValue(person, field) })),
    asked,
  };
}

/** Whose page it is, and that a signature is theirs. */
async function ownerWith(secret: string, signatureId: string): Promise<DirectoryPerson> {
  const owner = await ownerOf(secret);
  if ((await givenToPerson(owner.id)).every(({ id }) => id !== signatureId)) throw notFound("signature");
  return owner;
}

/** The kit of a signature of theirs, with their own details. */
export async function ownKit(
  secret: string,
  kind: string,
  { signature, pictures }: { readonly signature: string; readonly pictures?: PicturesIn | undefined },
): Promise<DownloadedKit> {
  const { id: person } = await ownerWith(secret, signature);
  return downloadKit(signature, kind, { person, pictures });
}

/** Records that somebody has put a signature of theirs into a kind of client, or has brought it up to date there. */
export async function recordOwnInstall(
  secret: string,
  { signature, revision, kind, form }: OwnInstall,
): Promise<void> {
  const { id, person } = await ownerWith(secret, signature);
  const before = (await installsOfPerson(id)).find(
    (each) => each.signatureId === signature && each.kind === kind && each.form === form,
  );
  if (before) return renewInstall(before.id, revision);
  const { name, mail } = person;
  await recordInstall(
    signature,
    { revision, kind, form, account: mail, use: form === "short" ? "answers" : "both", by: name, note: "" },
    id,
  );
}

/** What somebody says is otherwise about them. */
export async function correctOwn(secret: string, said: Details): Promise<void> {
  const owner = await ownerOf(secret);
  await askForCorrection(owner.id, said, new Set(await shownFields(owner)));
}
