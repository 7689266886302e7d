/** The page that stands in for all others while the data folder is not in order. It asks again by itself. */
import { escapeText } from "@/core/html";
import type { DataTrouble } from "../database/data-trouble";

export const troubleHeaders = {
  "content-type": "text/html; charset=utf-8",
  "cache-control": "no-store",
  "content-security-policy": "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'self'",
} as const;

const secondsUntilAsked = 5;

/** Whole by itself: styles of the application may not be reachable just then. */
export const troublePage = ({ title, what, remedy }: DataTrouble): string => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width">
    <meta http-equiv="refresh" content="${secondsUntilAsked}">
    <title>${escapeText(title)} · Still Line</title>
    <style>
      :root { color-scheme: light dark; }
      body {
        margin: 0; padding: 12px 20px;
        background: light-dark(#f6f4ee, #182022); color: light-dark(#1d2b2e, #e9e6dc);
        font: 14px/20px "Instrument Sans Variable", system-ui, sans-serif;
      }
      main { max-width: 560px; margin: 120px auto 0; border-top: 1px solid light-dark(#a3262a, #e28a80); padding-top: 16px; }
      h1 { margin: 0 0 8px; font: 400 30px/36px "Newsreader Variable", Georgia, serif; }
      p { margin: 0 0 12px; overflow-wrap: anywhere; }
      .soft { color: light-dark(#566366, #a9b3b1); }
    </style>
  </head>
  <body>
    <main>
      <h1>${escapeText(title)}</h1>
      <p>${escapeText(what)}</p>
      <p>${escapeText(remedy)}</p>
      <p class="soft">This page asks again every ${secondsUntilAsked} seconds, and goes on by itself.</p>
    </main>
  </body>
</html>
`;
