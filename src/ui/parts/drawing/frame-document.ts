/** The document inside a frame that a signature is drawn in: nothing in it can run, and it loads pictures and our fonts only. */
import { messageMargin } from "@/core/clients";

export interface Drawn {
  /** HTML for a body. */
  readonly html: string;
  /** Rules for the page around it: canvas, type and colours of the message area. */
  readonly area: string;
}

const policy =
  "default-src 'none'; img-src 'self' http: https: data:; style-src 'self' 'unsafe-inline'; font-src 'self'";

/** Room around what is drawn, on each side; px. */
export const frameMargin = messageMargin;

/** The area of what is drawn as a design. */
export const whitePaper = "html{background:#ffffff}";

const areaId = "message-area";

/** `links` says where links lead whose HTML does not say it: nothing is opened inside the frame. */
export const frameDocument = ({ html, area }: Drawn, links: "nowhere" | "new-window" = "nowhere"): string =>
  `<!DOCTYPE html><html><head><meta charset="utf-8">${links === "new-window" ? '<base target="_blank">' : ""}<meta http-equiv="Content-Security-Policy" content="${policy}">` +
  `<link rel="stylesheet" href="/fonts/web-safe.css"><style>html{overflow:hidden}body{margin:0;padding:${frameMargin}px;box-sizing:border-box;display:flow-root}</style>` +
  `<style id="${areaId}">${area}</style></head><body>${html}</body></html>`;

/** The body to draw into; null while the frame's document has not come. */
export function bodyOf(frame: HTMLIFrameElement | null): HTMLElement | null {
  const drawn = frame?.contentDocument;
  return drawn?.URL === "about:srcdoc" ? drawn.body : null;
}

/** Replaces what a frame shows, without loading anything again. */
export function drawInto(body: HTMLElement, { html, area }: Drawn): void {
  body.innerHTML = html;
  const rules = body.ownerDocument.getElementById(areaId);
  if (rules && rules.textContent !== area) rules.textContent = area;
}
