/**
 * Invented sites of the demo: the pages of its organisation and of the invented networks, and each way in which a
 * link can fail its reader.
 */
import { wordTable } from "@/core/values";
import type { SiteAnswer, InventedSite } from "./site";

const text = { "content-type": "text/plain; charset=utf-8" };

const page = (title: string, content = "", status = 200): SiteAnswer => ({
  status,
  headers: { "content-type": "text/html; charset=utf-8" },
  body: `<!doctype html><html lang="en"><title>${title}</title><h1>${title}</h1>${content}<p>An invented page. Nothing here leaves this machine.</p></html>`,
});

const lead = (status: 301 | 302, location: string): SiteAnswer => ({
  status,
  headers: { location },
  body: "",
});

const nothing: SiteAnswer = { status: 404, headers: text, body: "There is nothing here.\n" };

/** Longer than anybody waits; ms. */
const slowly = 25_000;

const signIn = page("Sign in", '<form method="post"><input type="password" name="password"></form>');

const library = wordTable<SiteAnswer>({
  "/": page("Harrow Fen Seed Library"),
  "/visit": page("Visit us"),
  "/press": page("Press"),
  "/press/pictures": page("Pictures for the press"),
  "/open-store-weekend": page("Open Store Weekend"),
  "/cold-store": page("The cold store"),
  "/collections": page("Collections"),
  "/seed-list": lead(301, "/collections"),
  "/today": lead(302, "/visit"),
  "/rota": lead(302, "/sign-in?next=/rota"),
  "/sign-in": signIn,
  "/minutes": { status: 403, headers: text, body: "Members only.\n" },
  "/workshops": { ...page("Workshops"), after: slowly },
  "/diary": lead(301, "https://sowcast.example/harrowfen"),
  "/catalogue": { status: 503, headers: text, body: "Back soon.\n" },
});

const site =
  (pages: Readonly<Record<string, SiteAnswer>>): InventedSite =>
  ({ pathname }) =>
    pages[pathname] ?? nothing;

/** A network with a page for each handle. */
const network =
  (name: string, more: Partial<SiteAnswer> = {}): InventedSite =>
  ({ pathname }) =>
    /^\/@?[\w.-]+\/?$/.test(pathname)
      ? { ...page(`${pathname.slice(1)} on ${name}`), ...more }
      : pathname === "/"
        ? page(name)
        : nothing;

export const demoSites = wordTable<InventedSite>({
  "harrowfen.example": site(library),
  "www.harrowfen.example": ({ pathname }) => lead(301, `https://harrowfen.example${pathname}`),
  "shop.harrowfen.example": () => ({ ...nothing, breaks: "CERT_HAS_EXPIRED" }),
  "archive.harrowfen.example": () => ({ ...nothing, breaks: "ECONNREFUSED" }),
  "plotline.example": network("Plotline", { refusesHead: true }),
  "hedgepost.example": network("Hedgepost"),
  "benchandbough.example": network("Bench & Bough"),
  "slowreel.example": network("Slow Reel"),
  "sowcast.example": network("Sowcast"),
  "fenmap.example": () => page("Fenmap", "<p>A map of the fen would be here.</p>"),
});
