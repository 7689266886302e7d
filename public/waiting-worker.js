/**
 * A service worker that keeps nothing but the tab: where a page is asked for and the server does not answer, it shows a
 * page that waits and goes on by itself. What was typed is kept by the pages themselves, in the browser's storage.
 */

/** Of a proxy whose server is away. */
const away = [502, 503, 504];

const page = (nonce) => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width" />
    <title>Waiting · Still Line</title>
    <style>
      :root { color-scheme: light dark; }
      body {
        margin: 0; padding: 12px 20px;
        background: light-dark(#f6f4ee, #182022); color: light-dark(#1d2b2e, #e9e6dc);
        font: 14px/20px "Instrument Sans Variable", system-ui, sans-serif;
      }
      main { max-width: 560px; margin: 120px auto 0; border-top: 1px solid light-dark(#1f5b57, #7fb5ac); padding-top: 16px; }
      h1 { margin: 0 0 8px; font: 400 30px/36px "Newsreader Variable", Georgia, serif; }
      p { margin: 0 0 8px; color: light-dark(#566366, #a9b3b1); }
    </style>
  </head>
  <body>
    <main>
      <h1>Still Line does not answer</h1>
      <p>This page waits, and goes on by itself as soon as it does.</p>
      <p>Nothing is lost: what was typed and not yet saved is kept in this browser, and comes back when the signature is opened.</p>
      <p role="status" id="said"></p>
    </main>
    <script nonce="${nonce}">
      const since = Date.now();
      const ask = async () => {
        try {
          const answer = await fetch("/icon.svg", { cache: "no-store" });
          if (answer.ok) return location.reload();
        } catch {}
        const seconds = Math.round((Date.now() - since) / 1000);
        document.getElementById("said").textContent = "Asked again after " + seconds + (seconds === 1 ? " second." : " seconds.");
        setTimeout(ask, 1000);
      };
      ask();
    </script>
  </body>
</html>`;

function waitingPage() {
  const nonce = crypto.randomUUID();
  return new Response(page(nonce), {
    status: 503,
    headers: {
      "content-type": "text/html; charset=utf-8",
      "cache-control": "no-store",
      "content-security-policy": `default-src 'none'; style-src 'unsafe-inline'; script-src 'nonce-${nonce}'; connect-src 'self'`,
    },
  });
}

async function answerTo(event) {
  try {
    const answer = (await event.preloadResponse) ?? (await fetch(event.request));
    return away.includes(answer.status) ? waitingPage() : answer;
  } catch {
    return waitingPage();
  }
}

self.addEventListener("install", () => self.skipWaiting());

self.addEventListener("activate", (event) => {
  // The page is asked for while the worker starts, so that it costs no time.
  const ready = self.registration.navigationPreload?.enable();
  event.waitUntil(Promise.all([ready, self.clients.claim()]));
});

self.addEventListener("fetch", (event) => {
  const { mode, destination, method } = event.request;
  if (mode === "navigate" && destination === "document" && method === "GET")
    event.respondWith(answerTo(event));
});
