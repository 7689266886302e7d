import { longestSearch, shelfOrders, type ShelfOrder } from "@/contract";
import { openWaiting } from "@/server/signatures/open-signature";
import { findOrganisation } from "@/server/settings/organisation";
import { countPeople } from "@/server/people/people";
import { findOnShelf, shelfCards } from "@/server/shelf/shelf";
import { SiteHeader } from "@/ui/parts/site-header";
import { Shelf } from "@/ui/shelf/shelf";
import type { Asked } from "./asked";

export const metadata = { title: "Shelf" };

/** Cards that the page brings along: as many as the first window shows, and some below it. */
const first = 8;

export default async function ShelfPage({ searchParams }: { readonly searchParams: Asked }) {
  const asked = await searchParams;
  const look = typeof asked.look === "string" ? asked.look.slice(0, longestSearch).trim() : "";
  const order: ShelfOrder = shelfOrders.find((each) => each === asked.order) ?? "changed";
  const [{ ids, all }, peopleCount, organisation, waiting] = await Promise.all([
    findOnShelf({ look, order }),
    countPeople(),
    findOrganisation(),
    openWaiting(),
  ]);
  return (
    <>
      <SiteHeader current="Shelf" />
      <Shelf
        organisation={organisation?.name ?? ""}
        waiting={waiting}
        peopleCount={peopleCount}
        ids={ids}
        all={all}
        cards={await shelfCards(ids.slice(0, first))}
        look={look}
        order={order}
      />
    </>
  );
}
