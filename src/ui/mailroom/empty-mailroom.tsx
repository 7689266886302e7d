"use client";

/** Empties the whole Mailroom, once it was said again that this is meant: nothing of it can be taken back. */
import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";
import { useRefreshing } from "../parts/asking/use-refreshing";
import { buttonClass } from "../parts/button";
import { formatCount } from "../parts/format";

export function EmptyMailroom() {
  const [asked, setAsked] = useState(false);
  const refreshing = useRefreshing();
  if (!asked)
    return (
      <button type="button" className={buttonClass("plain")} onClick={() => setAsked(true)}>
        Empty the Mailroom
      </button>
    );
  return (
    <div role="alertdialog" aria-label="Empty the Mailroom?" className="flex flex-wrap items-center gap-3">
      <p>All letters go, and all that was set up in the clients. Signatures on the Shelf stay.</p>
      <button
        type="button"
        autoFocus
        className={buttonClass("plain")}
        onClick={() =>
          void refreshing(async () => {
            const { letters } = await ask(endpoints.emptyMailroom);
            toast(`The Mailroom is empty: ${formatCount(letters, "letter")} went.`);
            setAsked(false);
          })
        }
      >
        Empty it for good
      </button>
      <button type="button" className={buttonClass("plain")} onClick={() => setAsked(false)}>
        Leave it
      </button>
    </div>
  );
}
