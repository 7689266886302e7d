import { notFound } from "next/navigation";
import { findOrganisation } from "@/server/settings/organisation";
import { findCuts } from "@/server/pictures/cuts";
import { naturalSize } from "@/server/pictures/loops";
import { findOriginal } from "@/server/pictures/originals";
import { findSignature } from "@/server/signatures/signatures";
import { LoopRoom } from "@/ui/pictures/loop/loop-room";

export const metadata = { title: "Change a loop" };

interface Props {
  readonly searchParams: Promise<{ source?: string; signature?: string }>;
}

export default async function EditLoopPage({ searchParams }: Props) {
  const { source = "", signature: signatureId } = await searchParams;
  const [cut] = await findCuts([source]);
  if (!cut?.loop) notFound();
  const { loop } = cut;
  const cropped = loop.source.kind === "animation" || loop.source.kind === "ring-cycle";
  const [natural, original, organisation, signature] = await Promise.all([
    naturalSize(loop.source),
    cropped && cut.originalHash ? findOriginal(cut.originalHash) : null,
    findOrganisation(),
    signatureId ? findSignature(signatureId).catch(() => null) : null,
  ]);
  return (
    <LoopRoom
      start={loop}
      original={original}
      natural={{ width: natural.width, height: natural.height }}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
      signature={signature && { id: signature.id, name: signature.name, source }}
    />
  );
}
