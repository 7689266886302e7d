/** Colours of text and of grounds, as six hex digits: those of some opacity upon white (CSS Color 4). */
import { channelsOf, hexOf, lightCanvas, parseColor, toHex } from "../../color";
import { readValue } from "../../html";
import type { Draft } from "./draft";

export function color(draft: Draft, value: string): boolean {
  const named = value.trim().toLowerCase();
  if (named === "inherit" || named === "currentcolor") return true;
  const opaque = opaqueHex(value, lightCanvas);
  if (opaque === null) return false;
  if (opaque.mixed)
    draft.changed("an alpha colour", "some clients drop it: it is mixed with what is behind it");
  draft.look.color = opaque.hex;
  draft.box.saysType = true;
  return true;
}

/** A colour as it shows upon an opaque ground, and whether it was mixed with that; null for none, or where nothing of it shows. */
export function opaqueHex(value: string, ground: string): { hex: string; mixed: boolean } | null {
  const hex = toHex(value);
  if (hex !== null) return { hex, mixed: false };
  const read = parseColor(value);
  if (!read?.alpha) return null;
  const over = mixed(value, ground, read.alpha);
  return over === null ? null : { hex: over, mixed: true };
}

/** A colour of some opacity upon an opaque ground, channel by channel (CSS Compositing 1, source over). */
function mixed(value: string, ground: string, alpha: number): string | null {
  const top = toHex(withoutAlpha(value));
  if (top === null) return null;
  const [over, under] = [channelsOf(top), channelsOf(ground)];
  const [red, green, blue] = over.map((channel, at) => channel * alpha + (under[at] ?? 0) * (1 - alpha));
  return hexOf(Math.round(red ?? 0), Math.round(green ?? 0), Math.round(blue ?? 0));
}

/** The same colour where it is opaque: its function without the last value, its digits without the last ones. */
function withoutAlpha(value: string): string {
  if (value.startsWith("#")) return value.slice(0, value.length === 5 ? 4 : 7);
  const [name = ""] = value.split("(", 1);
  const inside = value.slice(name.length + 1, value.lastIndexOf(")"));
  const solid = inside.includes("/")
    ? inside.slice(0, inside.indexOf("/"))
    : inside.split(",").slice(0, 3).join(",");
  return `${name.replace(/a$/i, "")}(${solid})`;
}

export const transparent = (value: string): boolean =>
  /^(transparent|none|initial|inherit|unset)$/i.test(value.trim()) || parseColor(value)?.alpha === 0;

export function background(draft: Draft, value: string): boolean {
  const { look, box } = draft;
  const reading = readValue(value);
  const pictured =
    reading.parts.some(({ kind }) => kind === "address") || reading.functions.has("linear-gradient");
  let hex: string | null = null;
  let shown = false;
  for (const { source } of reading.colors) {
    if (transparent(source)) continue;
    const read = opaqueHex(source, lightCanvas);
    if (!read) continue;
    if (read.mixed)
      draft.changed("an alpha colour", "some clients drop it: it is mixed with what is behind it");
    hex = read.hex;
    shown = true;
  }
  if (pictured) draft.changed("a background picture", "desktop mail draws none: only its colour is kept");
  if (draft.inline) look.highlight = hex === lightCanvas ? null : hex;
  else box.background = hex;
  return shown || pictured || transparent(value) || reading.parts.length > 0;
}
