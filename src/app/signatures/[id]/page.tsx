import { proofsFor } from "@/core/clients";
import { keptStillness } from "@/server/signatures/stillness";
import { listOwnFields } from "@/server/people/own-fields";
import { findLetterType } from "@/server/settings/letter-type";
import { Bench } from "@/ui/bench/bench";
import { ordinaryPlaces, proofsIn } from "@/ui/bench/proofs/shown-proofs";
import { openOrNotFound } from "./open-or-not-found";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: (await openOrNotFound((await params).id)).name };
}

export default async function BenchPage({ params }: Props) {
  const [signature, letterType, ownFields] = await Promise.all([
    openOrNotFound((await params).id),
    findLetterType(),
    listOwnFields(),
  ]);
  const { id, name, personId, document, revision, pictures, person, base, findings, organisation } =
    signature;
  return (
    <Bench
      signature={{ id, name, personId, document, revision }}
      pictures={pictures}
      person={person}
      ownFields={ownFields}
      base={base}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
      letterType={letterType}
      answers={signature.answers}
      organisation={organisation?.name ?? ""}
      place={{ map: organisation?.map ?? "", address: organisation?.address ?? "" }}
      networks={signature.networks}
      findings={findings}
      kept={await keptStillness(signature)}
      colors={signature.colors}
      gaps={signature.gaps}
      asides={signature.asides}
      proofs={proofsFor(signature.html, proofsIn(ordinaryPlaces, null))}
    />
  );
}
