import { longestSearch, mostAtOnce } from "@/contract";
import { findInDirectory } from "@/server/people/find-people";
import { countPortraits, portraitsOf } from "@/server/people/pictures-of-people";
import { SiteHeader } from "@/ui/parts/site-header";
import { PortraitsPage } from "@/ui/people/portraits/portraits-page";
import type { Asked } from "../../asked";

export const metadata = { title: "Portraits" };

export default async function AllPortraitsPage({ searchParams }: { readonly searchParams: Asked }) {
  const asked = await searchParams;
  const said = (name: string): string =>
    typeof asked[name] === "string" ? asked[name].slice(0, longestSearch).trim() : "";
  const look = { look: said("look"), department: said("department") || null, order: "name" };
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
