/**
 * The settings that a foreign signature has without saying so: the type that most of its letters are set in, and how most
 * of its links look. What is in other type says so itself.
 */
import { signatureSettings, type Settings } from "../../signature";
import { detectLinks } from "../../links";
import { textSize, within } from "../../values";
import { lineHeightOf, type Look } from "../style/look";
import type { SizedPart, SizedTable } from "./size-table";
import type { Inline } from "./parts";

/** A disclaimer is long, and no other text is set like it: so many letters of one run count. */
const longestCounted = 24;

/** Whether a text is a date or a place, which phones would link to pages of their own. */
export function leadsToPlace(text: string): boolean {
  const [found] = detectLinks(text);
  return found?.href === null;
}

/** Votes by value, each with a weight; the first of equals wins. */
class Votes<T extends string | number | boolean> {
  private readonly weights = new Map<T, number>();
  add(value: T, weight: number): void {
    this.weights.set(value, (this.weights.get(value) ?? 0) + weight);
  }
  best(otherwise: T): T {
    let best = otherwise;
    let most = 0;
    for (const [value, weight] of this.weights)
      if (weight > most) {
        best = value;
        most = weight;
      }
    return best;
  }
}

interface Run {
  readonly text: string;
  readonly length: number;
  readonly look: Look;
  /** The type of the cell around it, where that says it. */
  readonly around: Look;
}

interface Gathered {
  readonly runs: Run[];
  readonly lines: { readonly length: number; readonly height: number; readonly size: number }[];
}

function gatherInlines(
  inlines: readonly Inline[],
  look: Look,
  around: Look | null,
  gathered: Gathered,
): void {
  let length = 0;
  let size = 0;
  for (const inline of inlines)
    if (inline.kind === "text" && inline.text.trim() !== "") {
      gathered.runs.push({
        text: inline.text,
        length: Math.min(longestCounted, inline.text.length),
        look: inline.look,
        around: around ?? inline.look,
      });
      length += Math.min(longestCounted, inline.text.length);
      size = Math.max(size, inline.look.size);
    }
  if (length > 0) gathered.lines.push({ length, height: lineHeightOf(look), size });
}

function gather(part: SizedPart, around: Look | null, gathered: Gathered): void {
  if (part.kind === "line") gatherInlines(part.inlines, part.look, around, gathered);
  else if (part.kind === "sized")
    for (const cell of part.cells)
      for (const inside of cell.parts) gather(inside, cell.saysType ? cell.look : around, gathered);
}

/** A ratio as line heights are held. */
export const heldRatio = (ratio: number): number =>
  within(signatureSettings.attributes.lineHeight.value, ratio);

/** The ratio that gives a line of so many px: the default where that does. */
export function ratioFor(height: number, size: number, preferred: number): number {
  if (Math.round(preferred * size) === Math.round(height)) return preferred;
  return heldRatio(height / size);
}

/** The settings of a whole signature. */
export function dominantSettings(table: SizedTable): Partial<Settings> {
  const { direction, language } = table.look;
  const gathered: Gathered = { runs: [], lines: [] };
  gather(table, null, gathered);
  const type = new Votes<string>();
  const linkColor = new Votes<string>();
  const linkUnderline = new Votes<boolean>();
  const visitLink = new Votes<string>();
  const types = new Map<string, Look>();
  for (const { text, length, look, around } of gathered.runs) {
    if (look.link !== null) {
      // Places and dates are linked in the colour of the text around them, so that they look like it.
      const quiet = look.color === around.color && !look.underline;
      if (quiet && leadsToPlace(text)) visitLink.add(look.link, length);
      else {
        linkColor.add(look.color, length);
        linkUnderline.add(look.underline, length);
      }
    }
    // The colour of a link is no colour of text.
    const own = look.link !== null && around === look ? null : around;
    if (!own) continue;
    const key = `${own.font}\n${own.size}\n${own.color}`;
    types.set(key, own);
    type.add(key, length);
  }
  const { attributes } = signatureSettings;
  const key = type.best("");
  const base = types.get(key) ?? gathered.runs[0]?.look ?? null;
  const baseSize = base ? within(textSize, base.size) : attributes.size.default;
  const ratios = new Votes<number>();
  for (const { length, height, size: own } of gathered.lines)
    ratios.add(ratioFor(height, own, attributes.lineHeight.default), length);
  const width = table.widths.reduce((sum, column) => sum + column, 0);
  return {
    font: base?.font ?? attributes.font.default,
    size: baseSize,
    textColor: base && base.link === null ? base.color : attributes.textColor.default,
    lineHeight: ratios.best(attributes.lineHeight.default),
    linkColor: linkColor.best(attributes.linkColor.default),
    linkUnderline: linkUnderline.best(attributes.linkUnderline.default),
    visitLink: visitLink.best("") || null,
    maxWidth: within(attributes.maxWidth.value, Math.max(attributes.maxWidth.default, width)),
    direction,
    language,
  };
}
