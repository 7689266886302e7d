import Link from "next/link";
import { buttonClass } from "@/ui/parts/button";
import { Wordmark } from "@/ui/parts/site-header";

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl px-5 py-3">
      <Wordmark />
      <h1 className="mt-24 border-t border-pine pt-4 font-serif text-3xl">
        There is nothing at this address
      </h1>
      <p className="mb-5 mt-2 text-soft">
        It may have been deleted. What is deleted can be taken back from the Shelf right after.
      </p>
      <Link href="/" className={buttonClass("primary")}>
        To the Shelf
      </Link>
    </main>
  );
}
