/**
 * What is being gathered of one cell, or of the whole: its finished parts, the line that is open, and the room that must
 * stand before whatever comes next. White space is read as a browser shows it (CSS Text 3, section 4.1). Lengths in px.
 */
import type { Element } from "../../html";
import type { Look } from "../style/look";
import type { Inline, Part } from "./parts";

/** The paragraph, or the cell, that text stands in. */
export interface Paragraph {
  readonly element: Element;
  readonly look: Look;
  /** Whether it is a paragraph of its own, in which a break stays a break. */
  readonly own: boolean;
}

export class OpenFlow {
  readonly parts: Part[] = [];
  private inlines: Inline[] = [];
  private paragraph: Paragraph | null = null;
  /** Whether a space at this place would be seen. */
  private spaceShows = false;
  private margin = 0;
  private space = 0;
  private gapElement: Element | null = null;
  /** What a list item begins with. */
  private marker: string | null = null;

  /** Margins of neighbours are one, as high as the higher of them (CSS 2.2, section 8.3.1). */
  addMargin(height: number, element: Element): void {
    this.closeLine();
    this.margin = Math.max(this.margin, height);
    this.gapElement = element;
  }

  /** Padding and what else no margin shares its room with. */
  addSpace(height: number, element: Element): void {
    this.closeLine();
    if (height <= 0) return;
    this.space += this.margin + height;
    this.margin = 0;
    this.gapElement = element;
  }

  addPart(part: Part): void {
    this.closeLine();
    this.flushRoom();
    this.parts.push(part);
  }

  setMarker(marker: string): void {
    this.closeLine();
    this.marker = marker;
  }

  addText(text: string, look: Look, paragraph: Paragraph): void {
    if (look.preserves) {
      text.split(/\r\n|\r|\n/).forEach((row, index) => {
        if (index > 0) this.addBreak(look, { ...paragraph, own: false });
        const kept = row.replaceAll("\t", "        ").replaceAll(" ", "\u00a0");
        if (kept !== "") this.push({ kind: "text", text: kept, look }, paragraph);
      });
      return;
    }
    let shown = text.replace(/[ \t\r\n\f]+/g, " ");
    if (!this.spaceShows && shown.startsWith(" ")) shown = shown.slice(1);
    if (shown === "") return;
    this.push({ kind: "text", text: shown, look }, paragraph);
    this.spaceShows = !shown.endsWith(" ");
  }

  addPicture(inline: Inline & { readonly kind: "picture" }, paragraph: Paragraph): void {
    this.push(inline, paragraph);
    this.spaceShows = true;
  }

  addBreak(look: Look, paragraph: Paragraph): void {
    if (paragraph.own && (this.paragraph?.own ?? true)) {
      this.trimEnd();
      this.push({ kind: "break", look }, paragraph);
    } else if (this.inlines.length > 0) this.closeLine();
    else {
      // A break upon a line of its own is a line without anything.
      this.flushRoom();
      this.parts.push({ kind: "line", inlines: [], look, element: paragraph.element });
    }
    this.spaceShows = false;
  }

  private push(inline: Inline, paragraph: Paragraph): void {
    if (this.inlines.length === 0) {
      this.flushRoom();
      this.paragraph = paragraph;
      if (this.marker !== null) {
        this.inlines.push({ kind: "text", text: this.marker, look: withoutLink(paragraph.look) });
        this.marker = null;
      }
    }
    this.inlines.push(inline);
  }

  /** A space before a break or the end of a line is not seen. */
  private trimEnd(): void {
    const last = this.inlines.at(-1);
    if (last?.kind !== "text" || last.look.preserves) return;
    const text = last.text.replace(/ +$/, "");
    if (text === last.text) return;
    if (text === "") this.inlines.pop();
    else this.inlines[this.inlines.length - 1] = { ...last, text };
  }

  /** The line that is open, taken out; null where none is. */
  takeLine(): Part | null {
    const before = this.parts.length;
    this.closeLine();
    return this.parts.length > before ? (this.parts.pop() ?? null) : null;
  }

  closeLine(): void {
    const { paragraph } = this;
    if (this.inlines.length > 0 && paragraph) {
      this.trimEnd();
      // The break that a paragraph ends with begins no line.
      if (this.inlines.length > 0 && this.inlines.at(-1)?.kind === "break") this.inlines.pop();
      this.parts.push({
        kind: "line",
        inlines: this.inlines,
        look: paragraph.look,
        element: paragraph.element,
      });
    }
    this.inlines = [];
    this.paragraph = null;
    this.spaceShows = false;
  }

  private flushRoom(): void {
    const height = this.space + this.margin;
    if (height > 0 && this.gapElement) this.parts.push({ kind: "gap", height, element: this.gapElement });
    this.space = this.margin = 0;
    this.gapElement = null;
  }

  /** Everything that was gathered; the margin at its end shows where it stands in a cell. */
  finish(marginsShow: boolean): readonly Part[] {
    this.closeLine();
    if (!marginsShow) this.margin = 0;
    this.flushRoom();
    return this.parts;
  }
}

const withoutLink = (look: Look): Look =>
  look.link === null ? look : { ...look, link: null, underline: false };
