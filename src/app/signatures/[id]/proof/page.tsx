import { ProofPage } from "@/ui/proof/proof-page";
import { openOrNotFound } from "../open-or-not-found";
import { openedStation } from "../opened-station";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Proof of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignatureProofPage({ params }: Props) {
  const signature = await openOrNotFound((await params).id);
  return <ProofPage key={signature.id} {...await openedStation(signature)} />;
}
