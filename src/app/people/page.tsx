import { mostAtOnce } from "@/contract";
import { findInDirectory, typedPeople, usualDetails } from "@/server/people/find-people";
import { listOwnFields } from "@/server/people/own-fields";
import { findPhoneForm } from "@/server/people/phone-form";
import { SiteHeader } from "@/ui/parts/site-header";
import { PeoplePage } from "@/ui/people/people-page";
import type { Asked } from "../asked";
import { askedPeople } from "./asked-people";

export const metadata = { title: "People" };

export default async function AllPeoplePage({ searchParams }: { readonly searchParams: Asked }) {
  const look = await askedPeople(searchParams);
  const [found, ownFields, phoneForm, usual] = await Promise.all([
    findInDirectory(look),
    listOwnFields(),
    findPhoneForm(),
    usualDetails(),
  ]);
  return (
    <>
      <SiteHeader current="People" />
      <PeoplePage
        found={found}
        look={look}
        people={await typedPeople(found.ids.slice(0, mostAtOnce))}
        {...{ ownFields, phoneForm, usual }}
      />
    </>
  );
}
