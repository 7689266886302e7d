import { findChosenColumns, listOwnFields } from "@/server/people/own-fields";
import { SiteHeader } from "@/ui/parts/site-header";
import { BringInPage } from "@/ui/people/bring-in/bring-in-page";

export const metadata = { title: "Bring in a list" };

export default async function BringInListPage() {
  const [ownFields, remembered] = await Promise.all([listOwnFields(), findChosenColumns()]);
  return (
    <>
      <SiteHeader current="People" />
      <BringInPage ownFields={ownFields} remembered={remembered} />
    </>
  );
}
