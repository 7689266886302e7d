/**
 * Compiled HTML laid out for people: blocks and what is in them on lines of their own, two spaces deeper for each element
 * around. Line ends stand only where browsers make nothing of white space, so that the layout changes nothing.
 */
import {
  blockElements,
  lastValue,
  parseDeclarations,
  readTags,
  type Written,
  type WrittenTag,
} from "../html";

/** Elements whose text stays as it is, line ends included. */
const verbatim = new Set(["pre", "textarea", "style", "script", "xmp", "title"]);

const step = "  ";

/** White space that browsers make one space of, or nothing; a space that does not break is text. */
const trimStart = (text: string): string => text.replace(/^[ \t\r\n\f]+/, "");
const trimEnd = (text: string): string => text.replace(/[ \t\r\n\f]+$/, "");

/** What the style of a tag says it is displayed as; null where it says nothing. */
function displayOf(html: string, tag: WrittenTag): string | null {
  const style = tag.attributes.find(({ name }) => name === "style");
  if (!style) return null;
  const written = html.slice(style.from, style.to);
  const value = written.slice(written.indexOf("=") + 1).replace(/^["']|["']$/g, "");
  return lastValue(parseDeclarations(value), "display");
}

/**
 * The items around which white space is nothing: the tags of blocks, and pictures displayed as blocks with the inline tags
 * that hold nothing else.
 */
function blockItems(html: string, items: readonly Written[]): ReadonlySet<Written> {
  const found = new Set<Written>();
  /** The next item in a direction that is not white space alone. */
  const shownFrom = (at: number, step: 1 | -1): number => {
    const item = items[at];
    const blank = item?.kind === "text" && trimStart(html.slice(item.from, item.to)) === "";
    return blank ? shownFrom(at + step, step) : at;
  };
  for (const [at, item] of items.entries()) {
    if (item.kind === "doctype") found.add(item);
    if (!("name" in item)) continue;
    if (blockElements.has(item.name)) found.add(item);
    if (item.name !== "img" || displayOf(html, item) !== "block") continue;
    found.add(item);
    let [left, right] = [shownFrom(at - 1, -1), shownFrom(at + 1, 1)];
    for (;;) {
      const [before, after] = [items[left], items[right]];
      if (before?.kind !== "start" || after?.kind !== "end" || before.name !== after.name) break;
      found.add(before).add(after);
      [left, right] = [shownFrom(left - 1, -1), shownFrom(right + 1, 1)];
    }
  }
  return found;
}

/** One line of the layout, before it is known how deep it stands. */
class Layout {
  private readonly lines: string[] = [];
  private line = "";
  private depth = 0;
  /** Whether white space that comes now is at the beginning of a line of what browsers draw. */
  private fresh = true;

  text(text: string): void {
    const shown = this.fresh ? trimStart(text) : text;
    if (shown === "") return;
    this.begin();
    this.line += shown;
    this.fresh = false;
  }

  tag(text: string): void {
    this.begin();
    this.line += text;
  }

  /** Ends the line that is written; what comes next begins a new one. */
  end(): void {
    const line = trimEnd(this.line);
    if (line !== "") this.lines.push(step.repeat(this.startDepth) + line);
    this.line = "";
    this.fresh = true;
  }

  deeper(by: 1 | -1): void {
    this.depth = Math.max(0, this.depth + by);
  }

  whole(): string {
    this.end();
    return this.lines.length > 0 ? `${this.lines.join("\n")}\n` : "";
  }

  private startDepth = 0;

  private begin(): void {
    if (this.line === "") this.startDepth = this.depth;
  }
}

/** Whether a block holds nothing but a text, so that it stands on one line: the index of its end tag, or null. */
function shortEnd(items: readonly Written[], start: number): number | null {
  const own = items[start];
  if (own?.kind !== "start") return null;
  let at = start + 1;
  if (items[at]?.kind === "text") at += 1;
  const end = items[at];
  return end?.kind === "end" && end.name === own.name ? at : null;
}

/**
 * The same HTML, one tag a line: inline elements stay on the line of their text, since a line end between them would be a
 * space. Laying it out again changes nothing.
 */
export function formatSource(html: string): string {
  const { items } = readTags(html);
  const block = blockItems(html, items);
  const layout = new Layout();
  for (let at = 0; at < items.length; at++) {
    const item = items[at];
    if (!item) break;
    const written = html.slice(item.from, item.to);
    if (item.kind === "text") layout.text(written);
    else if (item.kind === "start" && verbatim.has(item.name)) {
      const closing = items.findIndex(
        (other, index) => index > at && other.kind === "end" && other.name === item.name,
      );
      const last = items[closing === -1 ? items.length - 1 : closing] ?? item;
      if (block.has(item) || item.name === "pre") layout.end();
      layout.tag(html.slice(item.from, last.to));
      if (block.has(item) || item.name === "pre") layout.end();
      at = closing === -1 ? items.length : closing;
    } else if (!block.has(item)) {
      layout.tag(written);
      if (item.kind === "void" && item.name === "br") layout.end();
    } else {
      if (item.kind === "end") {
        layout.end();
        layout.deeper(-1);
        layout.tag(written);
      } else {
        layout.end();
        const short = shortEnd(items, at);
        const closing = short === null ? null : items[short];
        if (short !== null && closing) {
          const inside = html.slice(item.to, closing.from);
          layout.tag(written + trimEnd(trimStart(inside)) + html.slice(closing.from, closing.to));
          at = short;
        } else {
          layout.tag(written);
          if (item.kind === "start") layout.deeper(1);
        }
      }
      layout.end();
    }
  }
  return layout.whole();
}
