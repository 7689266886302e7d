"use client";

import { useEffect, useState } from "react";

/** How many come with the page, and with each breath after it. */
const atOnce = 6;

/** How many of some costly things to draw by now: those in view first, the rest while the page rests, until all are there. */
export function useStaggered(count: number): number {
  const [ready, setReady] = useState(atOnce);
  useEffect(() => {
    if (ready >= count) return;
    const more = (): void => setReady((before) => before + atOnce);
    if ("requestIdleCallback" in window) {
      const asked = requestIdleCallback(more, { timeout: 400 });
      return () => cancelIdleCallback(asked);
    }
    const timer = setTimeout(more, 60);
    return () => clearTimeout(timer);
  }, [ready, count]);
  return ready;
}
