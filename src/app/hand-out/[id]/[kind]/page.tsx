import { notFound } from "next/navigation";
import { compile } from "@/core/compile";
import { carriedByItself } from "@/core/install";
import { kitKinds } from "@/core/install-kinds";
import { parseSignature } from "@/core/signature";
import { publicBase } from "@/server/addresses/public-address";
import { withOwnPictures } from "@/server/people/own-pictures";
import { findPerson } from "@/server/people/people";
import { findSignature } from "@/server/signatures/signatures";
import { HandOut } from "@/ui/install/hand-out";
import { orNotFound } from "../../../or-not-found";

export const metadata = { title: "A signature to install" };

interface Props {
  readonly params: Promise<{ id: string; kind: string }>;
  readonly searchParams: Promise<{ person?: string }>;
}

/** A page for one colleague, which stands by itself: printed, or handed on by its address. */
export default async function HandOutPage({ params, searchParams }: Props) {
  const { id, kind: asked } = await params;
  const { person: personId } = await searchParams;
  const kind = kitKinds.find((known) => known === asked);
  if (!kind) notFound();
  const [signature, base, found] = await Promise.all([
    orNotFound(() => findSignature(id)),
    publicBase(),
    personId === undefined ? null : findPerson(personId),
  ]);
  if (personId !== undefined && !found) notFound();
  const document = parseSignature(signature.document);
  const person = await withOwnPictures(document, found?.person ?? null);
  return (
    <HandOut
      id={id}
      name={signature.name}
      revision={signature.revision}
      kind={kind}
      personId={personId ?? null}
      personName={person?.name ?? null}
      compiled={{
        html: compile(document, { destination: "webmail-paste", person, base }),
        plainText: compile(document, { destination: "plain-text", person, base }),
      }}
      base={base}
      carried={carriedByItself[kind]}
    />
  );
}
