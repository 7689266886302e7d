"use client";

/** What every page is given once it has come to life: a page that waits for the server, and letters of East Asia. */
import { usePathname } from "next/navigation";
import { useEffect } from "react";

const kana = /[\u3040-\u30ff\u31f0-\u31ff]/;
const han = /[\u2e80-\u2fdf\u3005-\u3007\u3400-\u9fff\uf900-\ufaff]/;
const hangul = /[\u1100-\u11ff\u3130-\u318f\uac00-\ud7af]/;

/** The rules of a family by ranges of letters; only the files of letters that are drawn are fetched. */
function loadEastAsian(text: string): Promise<unknown> {
  const chinese = han.test(text);
  return Promise.all([
    (kana.test(text) || chinese) && import("@fontsource-variable/noto-sans-jp/index.css"),
    hangul.test(text) && import("@fontsource-variable/noto-sans-kr/index.css"),
    // Letters that are written in no Japanese word.
    chinese && !kana.test(text) && import("@fontsource-variable/noto-sans-sc/index.css"),
  ]);
}

export function PageServices() {
  const pathname = usePathname();

  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
    // Without it, the browser's own page is shown while the server is away.
    navigator.serviceWorker.register("/waiting-worker.js").catch(() => undefined);
  }, []);

  useEffect(() => {
    loadEastAsian(document.body.textContent).catch(() => undefined);
  }, [pathname]);

  return null;
}
