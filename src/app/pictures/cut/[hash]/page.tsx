import { notFound } from "next/navigation";
import { firstDisplaySize, plainRecipe, wholeCrop } from "@/core/pictures";
import { parseSignature } from "@/core/signature";
import { Refusal } from "@/server/http/refusal";
import { imaging } from "@/server/imaging/imaging";
import { findOrganisation } from "@/server/settings/organisation";
import { findCuts } from "@/server/pictures/cuts";
import { findOriginal, readOriginal } from "@/server/pictures/originals";
import { findSignature } from "@/server/signatures/signatures";
import { CutPage } from "@/ui/pictures/cut/cut-page";
import { picturesToMatch } from "@/ui/pictures/cut/pictures-to-match";

interface Props {
  readonly params: Promise<{ hash: string }>;
  readonly searchParams: Promise<{ source?: string; signature?: string }>;
}

async function open(hash: string) {
  try {
    return await findOriginal(hash);
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
}

export async function generateMetadata({ params }: Props) {
  return { title: `Cut ${(await open((await params).hash)).name}` };
}

/** Widest that a picture of its own accord begins; CSS px. */
const firstWidth = 120;

export default async function CutOriginalPage({ params, searchParams }: Props) {
  const original = await open((await params).hash);
  const { source, signature: signatureId } = await searchParams;
  const [cuts, background, organisation, signature] = await Promise.all([
    source ? findCuts([source]) : [],
    readOriginal(original.hash).then(imaging.findBackground),
    findOrganisation(),
    signatureId ? findSignature(signatureId).catch(() => null) : null,
  ]);
  const matches = signature ? picturesToMatch(parseSignature(signature.document), source ?? null) : [];
  return (
    <CutPage
      original={original}
      start={cuts[0]?.recipe ?? plainRecipe(wholeCrop(original), firstDisplaySize(original, firstWidth))}
      background={background}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
      matches={matches}
      signature={signature && source ? { id: signature.id, name: signature.name, source } : null}
    />
  );
}
