/** Draws a signature as it was built to pixels, as it looks upon white paper, with where its parts and words stand. */
import { domToCanvas } from "modern-screenshot";
import { designOf, designWidth, messageOf, wholeAttribute } from "@/core/clients";
import type { DrawnDesign } from "@/core/sighting";
import { bodyOf, drawInto, frameDocument, whitePaper } from "../../parts/drawing/frame-document";
import { localPictures } from "../../parts/drawing/local-pictures";
import { readParts } from "../../signature/stillness/read-parts";
import { settled } from "../../signature/stillness/settled";
import { drawnFonts } from "./drawn-fonts";
import { pixelsOf } from "./pixels-of";

/** Enough for what is thin to have its colour. */
const density = 2;

/** A frame that nobody sees, with its document; it is taken away afterwards. */
async function inFrame<T>(action: (body: HTMLElement) => Promise<T>): Promise<T> {
  const frame = document.createElement("iframe");
  frame.setAttribute("sandbox", "allow-same-origin");
  frame.setAttribute("aria-hidden", "true");
  frame.tabIndex = -1;
  frame.inert = true;
  frame.style.cssText = `position:fixed;left:-${2 * designWidth}px;top:0;width:${designWidth}px;height:${designWidth}px;border:0`;
  const loaded = new Promise((resolve) => frame.addEventListener("load", resolve, { once: true }));
  frame.srcdoc = frameDocument({ html: "", area: whitePaper });
  document.body.append(frame);
  try {
    await loaded;
    const body = bodyOf(frame);
    if (!body) throw new Error("The frame to draw in has no document");
    return await action(body);
  } finally {
    frame.remove();
  }
}

/** The design of some compiled HTML whose pictures are under a base address. */
export const drawnDesign = (html: string, base: string): Promise<DrawnDesign> =>
  inFrame(async (body) => {
    drawInto(body, {
      html: localPictures(designOf(messageOf(html, true).read), base, "first-frame"),
      area: whitePaper,
    });
    await settled(body);
    await Promise.all(
      [...body.querySelectorAll("img")].map((picture) => picture.decode().catch(() => undefined)),
    );
    const { parts, words } = readParts(body);
    const whole = body.querySelector<HTMLElement>(`[${wholeAttribute}]`) ?? body;
    const canvas = await domToCanvas(whole, {
      scale: density,
      backgroundColor: "#ffffff",
      font: { cssText: await drawnFonts(body.ownerDocument) },
    });
    return {
      pixels: pixelsOf(canvas),
      density,
      parts: parts.map((part) => ({ ...part, words: words.get(part.id) ?? [] })),
    };
  });
