"use client";

/** Asks now and then whether a letter has come, and shows it: what another desk sends appears by itself. */
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { endpoints } from "@/contract";
import { ask } from "../../parts/asking/ask";

/** How often it asks while the window is seen; ms. */
const pause = 3000;

export function Arriving({ personId, newest }: { personId: string; newest: string }) {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.hidden) return;
      ask(endpoints.listLetters, { params: { person: personId }, query: { most: 1 } }).then(
        ({ letters }) => {
          if ((letters[0]?.id ?? "") !== newest) router.refresh();
        },
        // Nobody asked for it: it is asked again.
        () => undefined,
      );
    }, pause);
    return () => clearInterval(timer);
  }, [personId, newest, router]);
  return null;
}
