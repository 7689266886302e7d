import { mostAtOnce } from "@/contract";
import { findInDirectory } from "@/server/people/find-people";
import { countPortraits, portraitsOf } from "@/server/people/pictures-of-people";
import { SiteHeader } from "@/ui/parts/site-header";
import { PortraitsPage } from "@/ui/people/portraits/portraits-page";
import type { Asked } from "../../asked";
import { askedPeople } from "../asked-people";

export const metadata = { title: "Portraits" };

export default async function AllPortraitsPage({ searchParams }: { readonly searchParams: Asked }) {
  const look = await askedPeople(searchParams);
  const [found, portraits] = await Promise.all([findInDirectory(look), countPortraits()]);
  return (
    <>
      <SiteHeader current="People" />
      <PortraitsPage
        {...{ found, look, portraits }}
        people={await portraitsOf(found.ids.slice(0, mostAtOnce))}
      />
    </>
  );
}
