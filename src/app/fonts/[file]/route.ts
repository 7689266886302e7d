import { readFile } from "node:fs/promises";
import path from "node:path";
import { assets } from "@/server/assets";
import { drawnFontRules, packageOfFontFile } from "@/core/signature";

interface Context {
  readonly params: Promise<{ file: string }>;
}

const forAWeek = "public, max-age=604800";

/** The fonts that signatures are drawn with, and the style sheet that names them. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { file } = await params;
  if (file === "web-safe.css")
    return new Response(drawnFontRules("/fonts"), {
      headers: { "content-type": "text/css; charset=utf-8", "cache-control": forAWeek },
    });
  const family = packageOfFontFile(file);
  if (family === null) return new Response("There is no such font.\n", { status: 404 });
  const bytes = await readFile(path.join(/*turbopackIgnore: true*/ assets.fonts(family), file));
  return new Response(new Uint8Array(bytes), {
    headers: { "content-type": "font/woff2", "cache-control": forAWeek },
  });
}
