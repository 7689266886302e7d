import Link from "next/link";
import { buttonClass } from "@/ui/parts/button";
import { Wordmark } from "@/ui/parts/site-header";

export const metadata = { title: "A demo page" };

interface Props {
  readonly params: Promise<{ address: string[] }>;
}

/** What a link to an invented address opens, since there is no such site. */
export default async function InventedPage({ params }: Props) {
  const { address } = await params;
  const shown = address.map(decodeURIComponent).join("/");
  return (
    <main className="mx-auto max-w-2xl px-5 py-3">
      <Wordmark />
      <div className="mt-24 border-t border-pine pt-4">
        <p className="text-soft">The link works. It leads to</p>
        <h1 className="break-words font-serif text-3xl">{shown}</h1>
        <p className="mb-5 mt-3 text-soft">
          This is a demo page: addresses that end in .example belong to nobody, so the Mailroom opens them
          here instead of on the network.
        </p>
        <Link href="/mailroom" className={buttonClass("plain")}>
          To the Mailroom
        </Link>
      </div>
    </main>
  );
}
