/** A small server of the pages that the engines open, with the shipped fonts and the demo's pictures. */
import { readFile, readdir } from "node:fs/promises";
import { createServer, type Server } from "node:http";
import path from "node:path";
import sharp from "sharp";
import { drawnFontRules, packageOfFontFile } from "@/core/signature";

export const doctypes = { standards: "<!DOCTYPE html>", quirks: "" } as const;
export type PageMode = keyof typeof doctypes;

/** One page with all of some HTML, each alone in its box. */
const pageOf = (all: readonly string[], mode: PageMode): string =>
  `${doctypes[mode]}<html><head><meta charset="utf-8"><style>${drawnFontRules("/fonts")}body{margin:0}div.one{width:1600px}</style></head>` +
  `<body>${all.map((html) => `<div class="one">${html}</div>`).join("")}</body></html>`;

/** A file of the demo's pictures by its address, or a mark in place of what is not there. */
async function pictureAt(address: string): Promise<Buffer> {
  const [, , hash = ""] = address.split("/");
  const folder = path.join("demo", "pictures", "cuts", path.basename(hash));
  try {
    const [file = ""] = await readdir(folder);
    return await readFile(path.join(folder, file));
  } catch {
    return sharp({ create: { width: 48, height: 48, channels: 3, background: "#3F5B2E" } })
      .png()
      .toBuffer();
  }
}

export interface Pages {
  readonly base: string;
  readonly show: (all: readonly string[]) => void;
  readonly close: () => void;
}

/** Serves on a port of this machine; `/standards` and `/quirks` are the pages. */
export async function servePages(port: number): Promise<Pages> {
  let shown: readonly string[] = [];
  const answer = async (address: string): Promise<readonly [type: string, body: Buffer | string]> => {
    if (address === "/standards" || address === "/quirks")
      return ["text/html; charset=utf-8", pageOf(shown, address.slice(1) as PageMode)];
    const file = /^\/fonts\/([\w-]+\.woff2)$/.exec(address)?.[1];
    const family = file ? packageOfFontFile(file) : null;
    if (file && family)
      return ["font/woff2", await readFile(path.join("node_modules", "@fontsource", family, "files", file))];
    return ["image/png", await pictureAt(address)];
  };
  const server: Server = createServer((request, response) => {
    void answer(request.url ?? "/").then(([type, body]) => {
      response.writeHead(200, { "content-type": type, "access-control-allow-origin": "*" });
      response.end(body);
    });
  });
  await new Promise<void>((resolve) => server.listen(port, "127.0.0.1", resolve));
  return {
    base: `http://127.0.0.1:${port}`,
    show: (all) => {
      shown = all;
    },
    close: () => void server.close(),
  };
}
