"use client";

/** What every page is given once it has come to life: a page that waits for the server, and letters of East Asia. */
import { usePathname } from "next/navigation";
import { useEffect } from "react";

/** Han, kana and hangul, with their punctuation. */
const eastAsian = /[\u1100-\u11ff\u2e80-\u9fff\uac00-\ud7af\uf900-\ufaff\uff00-\uffef]/;

/** The rules of three families by ranges of letters; only the files of letters that are drawn are fetched. */
const loadEastAsian = (): Promise<unknown> =>
  Promise.all([
    import("@fontsource-variable/noto-sans-jp/index.css"),
    import("@fontsource-variable/noto-sans-kr/index.css"),
    import("@fontsource-variable/noto-sans-sc/index.css"),
  ]);

export function PageServices() {
  const pathname = usePathname();

  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
    // Without it, the browser's own page is shown while the server is away.
    navigator.serviceWorker.register("/waiting-worker.js").catch(() => undefined);
  }, []);

  useEffect(() => {
    if (eastAsian.test(document.body.textContent)) loadEastAsian().catch(() => undefined);
  }, [pathname]);

  return null;
}
