import { carriedByItself } from "@/core/install";
import { ownPage } from "@/server/pages/own-page";
import { MinePage } from "@/ui/mine/mine-page";
import { orNotFound } from "../../or-not-found";

/** Whoever has the address may see it; nobody is to come upon it. */
export const metadata = { title: "Your mail signature", robots: { index: false, follow: false } };

export default async function OwnSignaturePage({ params }: { readonly params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const page = await orNotFound(() => ownPage(secret));
  return <MinePage secret={secret} page={page} carried={carriedByItself} />;
}
