/**
 * An invented file share, “Reed Basket”: the ways in which a picture on a share does and does not reach a recipient.
 * Each path is a case; `shareCases` lists them for people.
 */
import { readFile } from "node:fs/promises";
import { assets } from "../assets";
import type { SiteAnswer, InventedSite } from "./site";

export const shareHost = "https://reedbasket.example";

export const shareCases = [
  { path: "/pictures/seed-jars.png", title: "A direct picture" },
  { path: "/look/seed-jars", title: "A page that shows a picture" },
  { path: "/staff-only/seed-jars.png", title: "A restricted picture" },
  { path: "/2019/seed-jars.png", title: "A picture that moved" },
  { path: "/gone/seed-jars.png", title: "A picture that is gone" },
  { path: "/slow/seed-jars.png", title: "A picture that is slow" },
  { path: "/fenced/seed-jars.png", title: "A picture that forbids embedding" },
] as const;

const picture = (): Promise<Buffer> => readFile(assets.inventedSite("seed-jars.png"));

/** Longer than anybody waits for a picture in a mail; ms. */
const slowly = 25_000;

const page = (title: string, content: string): SiteAnswer => ({
  status: 200,
  headers: { "content-type": "text/html; charset=utf-8" },
  body: `<!doctype html><html lang="en"><title>${title}</title><h1>${title}</h1>${content}</html>`,
});

const lead = (status: number, location: string): SiteAnswer => ({
  status,
  headers: { location },
  body: "",
});

const serve = async (headers: Readonly<Record<string, string>> = {}): Promise<SiteAnswer> => ({
  status: 200,
  headers: { "content-type": "image/png", "cache-control": "public, max-age=3600", ...headers },
  body: await picture(),
});

const isForeign = (referer: string | undefined): boolean =>
  referer !== undefined && URL.canParse(referer) && new URL(referer).origin !== shareHost;

export const fileShare: InventedSite = async ({ pathname }, headers) => {
  switch (pathname) {
    case "/pictures/seed-jars.png":
      return serve();
    case "/look/seed-jars":
      return page(
        "Seed jars · Reed Basket",
        '<p>Shared with everyone who has the link.</p><img src="/pictures/seed-jars.png" alt="Seed jars" width="520">',
      );
    case "/staff-only/seed-jars.png":
      return lead(302, "/sign-in?next=/staff-only/seed-jars.png");
    case "/sign-in":
      return page(
        "Sign in · Reed Basket",
        '<form method="post"><label>Name <input name="name"></label><label>Password <input type="password" name="password"></label></form>',
      );
    case "/2019/seed-jars.png":
      return lead(301, "/pictures/seed-jars.png");
    case "/gone/seed-jars.png":
      return { status: 410, headers: { "content-type": "text/plain" }, body: "This was taken away.\n" };
    case "/slow/seed-jars.png":
      return { ...(await serve()), after: slowly };
    case "/fenced/seed-jars.png":
      return isForeign(headers.referer)
        ? { status: 403, headers: { "content-type": "text/plain" }, body: "Not for other sites.\n" }
        : serve({ "cross-origin-resource-policy": "same-origin" });
    case "/":
      return page("Reed Basket", "<p>An invented file share. Nothing here leaves this machine.</p>");
    default:
      return { status: 404, headers: { "content-type": "text/plain" }, body: "There is nothing here.\n" };
  }
};
