/** What somebody sees on their own page, and does there: one person's data, and nothing of anybody else. */
import type { OwnInstall, OwnPage } from "@/contract";
import type { PicturesIn } from "@/core/install-kinds";
import { typedValue, type Details, type FieldId } from "@/core/people";
import { isHiddenFrom, parseSignature, personField } from "@/core/signature";
import { notFound } from "../http/refusal";
import { downloadKit, type DownloadedKit } from "../install/download-kit";
import { installsOfPerson, recordInstall, renewInstall } from "../install/installs";
import { directory } from "../people/directory";
import { theirSignatures } from "../people/their-signatures";
import { findRows } from "../signatures/signatures";
import { askedBy, askForCorrection } from "./corrections";
import { ownerOf, tellCopied } from "./pages";

/** The fields of somebody that their signatures show, in the order in which they come. */
async function shownFields(personId: string, ids: readonly string[]): Promise<readonly FieldId[]> {
  const [rows, { drawnById }] = await Promise.all([findRows(ids), directory()]);
  const person = drawnById.get(personId)?.person ?? null;
  const found = new Set<FieldId>(["name"]);
  for (const { document } of rows)
    parseSignature(JSON.parse(document)).descendants((node) => {
      if (isHiddenFrom(node, person)) return false;
      if (personField.is(node)) found.add(personField.of(node).field);
      return true;
    });
  return [...found];
}

/** Refuses an address at which there is nothing. */
export async function ownPage(secret: string): Promise<OwnPage> {
  const { id } = await ownerOf(secret);
  const signatures = await theirSignatures(id);
  const theirs = signatures.map((each) => each.id);
  const [installs, asked, fields, { typedById }] = await Promise.all([
    installsOfPerson(id),
    askedBy(id),
    shownFields(id, theirs),
    directory(),
  ]);
  const person = typedById.get(id)?.person;
  if (!person) throw notFound("person");
  return {
    name: person.name,
    signatures,
    installs: installs.filter(({ signatureId }) => theirs.includes(signatureId)),
    details: fields.map((field) => ({ field, value: typedValue(person, field) })),
    asked,
  };
}

/** Whose page it is, and that a signature is theirs. */
async function ownerWith(secret: string, signatureId: string): Promise<string> {
  const { id } = await ownerOf(secret);
  if ((await theirSignatures(id)).every((each) => each.id !== signatureId)) throw notFound("signature");
  return id;
}

/** The kit of a signature of theirs, with their own details. */
export async function ownKit(
  secret: string,
  kind: string,
  { signature, pictures }: { readonly signature: string; readonly pictures?: PicturesIn | undefined },
): Promise<DownloadedKit> {
  const person = await ownerWith(secret, signature);
  const kit = await downloadKit(signature, kind, { person, pictures });
  await tellCopied(secret);
  return kit;
}

/** Records that somebody has put a signature of theirs into a kind of client, or has brought it up to date there. */
export async function recordOwnInstall(
  secret: string,
  { signature, revision, kind, form }: OwnInstall,
): Promise<void> {
  const id = await ownerWith(secret, signature);
  const before = (await installsOfPerson(id)).find(
    (each) => each.signatureId === signature && each.kind === kind && each.form === form,
  );
  if (before) return renewInstall(before.id, revision);
  const { name, mail } = (await ownerOf(secret)).person;
  await recordInstall(
    signature,
    { revision, kind, form, account: mail, use: form === "short" ? "answers" : "both", by: name, note: "" },
    id,
  );
}

/** What somebody says is otherwise about them. */
export async function correctOwn(secret: string, said: Details): Promise<void> {
  const { id } = await ownerOf(secret);
  const theirs = (await theirSignatures(id)).map((each) => each.id);
  await askForCorrection(id, said, new Set(await shownFields(id, theirs)));
}
