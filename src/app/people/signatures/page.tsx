import { givingShows, mostAtOnce } from "@/contract";
import { givenTo, whoGetsWhat } from "@/server/people/who-gets-what";
import { SiteHeader } from "@/ui/parts/site-header";
import { GivingPage } from "@/ui/people/giving/giving-page";
import type { Asked } from "../../asked";
import { askedPeople } from "../asked-people";

export const metadata = { title: "Who gets what" };

export default async function WhoGetsWhatPage({ searchParams }: { readonly searchParams: Asked }) {
  const { shows: asked } = await searchParams;
  const look = {
    ...(await askedPeople(searchParams)),
    shows: givingShows.find((each) => each === asked) ?? "all",
  };
  const found = await whoGetsWhat(look);
  return (
    <>
      <SiteHeader current="People" />
      <GivingPage {...{ found, look }} people={await givenTo(found.ids.slice(0, mostAtOnce))} />
    </>
  );
}
