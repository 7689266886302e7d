import { notFound } from "next/navigation";
import { fieldsOf, isPictureField, readPictureDetail, typedValue } from "@/core/people";
import { installsOfPerson } from "@/server/install/installs";
import { directory } from "@/server/people/directory";
import { listDepartments } from "@/server/people/find-people";
import { listOwnFields } from "@/server/people/own-fields";
import { findOriginals } from "@/server/pictures/originals";
import { theirSignatures } from "@/server/people/their-signatures";
import { signaturesDrawnFor } from "@/server/signatures/signatures";
import { SiteHeader } from "@/ui/parts/site-header";
import { PersonPage } from "@/ui/people/person-page";

export const metadata = { title: "A person" };

interface Props {
  readonly params: Promise<{ id: string }>;
}

export default async function OnePersonPage({ params }: Props) {
  const { id } = await params;
  const of = (await directory()).typedById.get(id);
  if (!of) notFound();
  const hashes = fieldsOf([of.person])
    .filter(isPictureField)
    .flatMap((field) => readPictureDetail(typedValue(of.person, field))?.original ?? []);
  const [ownFields, signatures, drawn, installs, departments, originals] = await Promise.all([
    listOwnFields(),
    theirSignatures(id),
    signaturesDrawnFor(id),
    installsOfPerson(id),
    listDepartments(),
    findOriginals(hashes),
  ]);
  return (
    <>
      <SiteHeader current="People" />
      <PersonPage
        originals={Object.fromEntries(originals)}
        departments={departments.map(({ name }) => name).filter((name) => name !== "")}
        drawn={drawn.filter((each) => signatures.every(({ id: theirs }) => theirs !== each.id))}
        {...{ of, ownFields, signatures, installs }}
      />
    </>
  );
}
