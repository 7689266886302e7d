import { notFound } from "next/navigation";
import { originalsOfLoop } from "@/core/pictures";
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
  const [natural, originals, organisation, signature] = await Promise.all([
    naturalSize(loop.source),
    Promise.all(originalsOfLoop(loop.source).map(findOriginal)),
    findOrganisation(),
    signatureId ? findSignature(signatureId).catch(() => null) : null,
  ]);
  return (
    <LoopRoom
      start={loop}
      originals={originals}
      name={cut.fileName.replace(/\.gif$/, "")}
      natural={{ width: natural.width, height: natural.height }}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
      signature={signature && { id: signature.id, name: signature.name, source }}
    />
  );
}
