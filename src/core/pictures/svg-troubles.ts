/**
 * What keeps an SVG from being drawn as its maker meant it. It is drawn by a renderer that runs nothing and loads
 * nothing, so what it needs from elsewhere would be missing. Read in one pass over its tags.
 */

export type SvgTrouble = "entities" | "external-reference";

const reference = /(?:^|\s)(?:xlink:)?(?:href|src)\s*=\s*(?:"([^"]*)"|'([^']*)')/gi;
const styleReference = /url\(\s*["']?\s*([^"')\s]*)|@import/gi;

/** Parts of the same file, and data inside it. */
const isInside = (address: string): boolean =>
  /^\s*(?:#|data:image\/(?:png|jpeg|gif|webp);|$)/i.test(address);

/** Elements that draw what they refer to; a link that is drawn stays a drawing wherever it leads. */
const drawing =
  /^<(?:image|use|feimage|script|style|link|pattern|lineargradient|radialgradient|textpath|mpath)\b/i;

export function svgTrouble(svg: string): SvgTrouble | null {
  for (let at = 0; at < svg.length;) {
    const open = svg.indexOf("<", at);
    if (open === -1) break;
    if (svg.startsWith("<!--", open)) {
      const end = svg.indexOf("-->", open);
      at = end === -1 ? svg.length : end + 3;
      continue;
    }
    const close = svg.indexOf(">", open);
    const tag = svg.slice(open, close === -1 ? svg.length : close + 1);
    if (/^<!(?:entity|doctype[^>]*\[)/i.test(tag)) return "entities";
    if (drawing.test(tag) && !/^<script/i.test(tag))
      for (const [, double, single] of tag.matchAll(reference))
        if (!isInside(double ?? single ?? "")) return "external-reference";
    for (const [whole, address] of tag.matchAll(styleReference))
      if (/^@import/i.test(whole) || !isInside(address!)) return "external-reference";
    at = close === -1 ? svg.length : close + 1;
    // The rules of a style sheet stand between tags.
    if (/^<style\b/i.test(tag)) {
      const end = svg.indexOf("</", at);
      for (const [whole, address] of svg.slice(at, end === -1 ? svg.length : end).matchAll(styleReference))
        if (/^@import/i.test(whole) || !isInside(address!)) return "external-reference";
      at = end === -1 ? svg.length : end;
    }
  }
  return null;
}
