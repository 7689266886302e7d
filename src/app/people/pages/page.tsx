import { mostAtOnce } from "@/contract";
import { findOutgoing } from "@/server/outgoing/outgoing";
import { listCorrections } from "@/server/pages/corrections";
import { countPages, peopleWithPages } from "@/server/pages/list-pages";
import { findPageLetter } from "@/server/pages/write-letters";
import { findInDirectory } from "@/server/people/find-people";
import { listOwnFields } from "@/server/people/own-fields";
import { SiteHeader } from "@/ui/parts/site-header";
import { PagesPage } from "@/ui/people/pages/pages-page";
import type { Asked } from "../../asked";
import { askedPeople } from "../asked-people";

export const metadata = { title: "Pages for people" };

export default async function PagesOfPeople({ searchParams }: { readonly searchParams: Asked }) {
  const look = await askedPeople(searchParams);
  const [found, counts, corrections, letter, server, ownFields] = await Promise.all([
    findInDirectory(look),
    countPages(),
    listCorrections(),
    findPageLetter(),
    findOutgoing(),
    listOwnFields(),
  ]);
  return (
    <>
      <SiteHeader current="People" />
      <PagesPage
        {...{ found, look, counts, corrections, letter, server, ownFields }}
        people={await peopleWithPages(found.ids.slice(0, mostAtOnce))}
      />
    </>
  );
}
