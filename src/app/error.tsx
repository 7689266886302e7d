"use client";

import Link from "next/link";
import { Button, buttonClass } from "@/ui/parts/button";
import { Wordmark } from "@/ui/parts/site-header";

/** Shown instead of a page that failed while it was drawn. */
export default function Failed({ reset }: { reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl px-5 py-3">
      <Wordmark />
      <h1 className="mt-24 border-t border-pine pt-4 font-serif text-3xl">This page could not be drawn</h1>
      <p className="mb-5 mt-2 text-soft">
        The fault is ours. Nothing is lost: what was saved is on the Shelf, and what was not yet saved is kept
        in this browser and comes back when the signature is opened.
      </p>
      <div className="flex gap-3">
        <Button look="primary" onClick={reset}>
          Draw it again
        </Button>
        <Link href="/" className={buttonClass("plain")}>
          To the Shelf
        </Link>
      </div>
    </main>
  );
}
