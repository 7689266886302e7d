/**
 * Writing a run of inline content: what an empty field takes with it, which separators disappear, which
 * pieces share one link, and how text carries its styling so that no client recolours it. Sizes in px.
 */
import { append } from "../values";
import type { Mark, Node } from "prosemirror-model";
import { publicAddress } from "../addresses";
import { element, escapeText, type Declarations } from "../html";
import { attributesIn } from "./description";
import { fontStack } from "./fonts";
import { bold } from "./marks/bold";
import { textColor } from "./marks/color";
import { font } from "./marks/font";
import { highlight } from "./marks/highlight";
import { italic } from "./marks/italic";
import { letterSpacing } from "./marks/letter-spacing";
import { link } from "./marks/link";
import { plainScript, scriptScale, subscript, superscript } from "./marks/script";
import { size } from "./marks/size";
import { strikethrough } from "./marks/strikethrough";
import { underline } from "./marks/underline";
import { upperCase } from "./marks/upper-case";
import type { LinkLook, Piece, ReadPieces, TextStyle } from "./piece";
import type { Settings } from "./settings";
import { keptSpaces } from "./spaces";
import { heightOnStrut, type Strut } from "./strut";
import { linkAddress, type Writing } from "./writing";

const has = (marks: readonly Mark[], { is }: Pick<typeof bold, "is">): boolean => marks.some(is);

/** What one link says of its own colour and underline, and of the signature's where it says nothing. */
function linkLook(marks: readonly Mark[], { linkColor, linkUnderline }: Settings): LinkLook {
  const own = attributesIn(link, marks);
  return { color: own?.color ?? linkColor, underline: own?.underline ?? linkUnderline };
}

/** The styling that marks give to a run, drawn as a link or not. */
export function textStyle(marks: readonly Mark[], settings: Settings, linked: boolean): TextStyle {
  return {
    bold: has(marks, bold),
    italic: has(marks, italic),
    underline: has(marks, underline),
    color: attributesIn(textColor, marks)?.color ?? null,
    size: attributesIn(size, marks)?.size ?? settings.size,
    font: attributesIn(font, marks)?.font ?? settings.font,
    letterSpacing: attributesIn(letterSpacing, marks)?.spacing ?? 0,
    upperCase: has(marks, upperCase),
    strikethrough: has(marks, strikethrough),
    script: has(marks, superscript) ? "super" : has(marks, subscript) ? "sub" : null,
    highlight: attributesIn(highlight, marks)?.color ?? null,
    link: linked ? linkLook(marks, settings) : null,
  };
}

const cased = (text: string, { upperCase }: Pick<TextStyle, "upperCase">, { settings }: Writing): string =>
  upperCase ? text.toLocaleUpperCase(settings.language || "en") : text;

/** The lines drawn with text; a link without any says so. */
function decorationOf({ underline, strikethrough, link }: TextStyle): string | null {
  const lines = [underline || link?.underline ? "underline" : "", strikethrough ? "line-through" : ""];
  return lines.filter((line) => line).join(" ") || (link ? "none" : null);
}

/** Above or below the line, without making the line higher. */
const scripted = (html: string, { script, size }: TextStyle): string =>
  script === null
    ? html
    : element(
        script === "super" ? "sup" : "sub",
        {},
        { "font-size": Number((size * scriptScale).toFixed(2)), "line-height": 0 },
        html,
      );

/** What a run says of its type: only what the line does not say already. */
export const typeOnStrut = (own: Strut, { strut }: Writing): Declarations => ({
  "font-family": own.font === strut.font ? null : fontStack(own.font),
  "font-size": own.size === strut.size ? null : own.size,
  "line-height": heightOnStrut(own, strut),
});

/** Text in the fewest elements that carry its style: `<b style="…">`, `<i>`, `<span style="…">` or bare. */
export function styledText(
  text: string,
  style: TextStyle,
  writing: Writing,
  extra: Declarations = {},
): string {
  const declarations: Declarations = {
    color: style.color ?? style.link?.color ?? null,
    ...typeOnStrut(style, writing),
    "letter-spacing": style.letterSpacing || null,
    "font-style": style.bold && style.italic ? "italic" : null,
    "background-color": style.highlight,
    "text-decoration": decorationOf(style),
    ...extra,
  };
  const content = scripted(escapeText(cased(text, style, writing)), style);
  const plain = Object.values(declarations).every((value) => value === null || value === undefined);
  const name = style.bold ? "b" : style.italic ? "i" : "span";
  return name === "span" && plain ? content : element(name, {}, declarations, content);
}

interface Run {
  readonly piece: Piece;
  readonly marks: readonly Mark[];
  readonly link: string | null;
}

/**
 * The pieces that show, in order; null when an empty field takes the whole line with it or nothing is left.
 * A separator shows only between two things that show.
 */
function visibleRuns(nodes: readonly Node[], writing: Writing, read: ReadPieces): readonly Run[] | null {
  const shown: Run[] = [];
  let waiting: Run[] = [];
  let content = false;
  for (const node of nodes) {
    const href = attributesIn(link, node.marks)?.href ?? null;
    for (const piece of read(node, writing)) {
      if (piece.takesLine) return null;
      if (piece.role === "nothing") continue;
      const run: Run = { piece, marks: node.marks, link: href ?? piece.link };
      if (piece.role === "content") {
        append(shown, waiting);
        shown.push(run);
        waiting = [];
        content = true;
      } else if (piece.role === "break") {
        waiting = [];
        shown.push(run);
      } else if (shown.length > 0 && shown.at(-1)?.piece.role !== "break") {
        const separated = waiting.some((earlier) => earlier.piece.role === "separator");
        if (piece.role === "space" || !separated) waiting.push(run);
      }
    }
  }
  while (shown.at(-1)?.piece.role === "break") shown.pop();
  return content ? shown : null;
}

/** Where text says by itself where it leads, plain text need not say it again. */
const saysItself = (text: string, link: string): boolean => {
  const bare = (value: string): string =>
    value
      .toLowerCase()
      .replace(/^(https?:\/\/|mailto:|tel:)/, "")
      .replace(/\/$/, "")
      .replace(/[\s().-]/g, "");
  return bare(text) === bare(link);
};

/** Whether two runs are under the same link mark, or both under none. */
function sameLinkMark(one: readonly Mark[], other: readonly Mark[]): boolean {
  const [first, second] = [one.find(link.is), other.find(link.is)];
  return first && second ? first.eq(second) : first === second;
}

/** Neighbouring runs that lead to the same place; there is at least one. */
interface Group {
  readonly link: string | null;
  readonly first: Run;
  readonly runs: Run[];
}

function grouped(runs: readonly Run[]): readonly Group[] {
  const groups: Group[] = [];
  for (const run of runs) {
    const last = groups.at(-1);
    const sameLink = last?.link === run.link && sameLinkMark(last.first.marks, run.marks);
    if (last && sameLink && run.piece.role !== "break") last.runs.push(run);
    else groups.push({ link: run.link, first: run, runs: [run] });
  }
  return groups;
}

/** The inline HTML of a line, or null when the line does not show. */
export function writeInline(nodes: readonly Node[], writing: Writing, read: ReadPieces): string | null {
  const runs = visibleRuns(keptSpaces(nodes), writing, read);
  if (!runs) return null;
  return grouped(runs)
    .map((group) => writeGroup(group, writing))
    .join("");
}

function writeGroup(group: Group, writing: Writing): string {
  if (group.link === null)
    return group.runs
      .map((run) => run.piece.html(textStyle(run.marks, writing.settings, false), writing))
      .join("");
  const { settings } = writing;
  const look = linkLook(group.first.marks, settings);
  const quiet = group.runs.every((run) => run.piece.quietLink);
  const styleOf = (run: Run): TextStyle => {
    const style = textStyle(run.marks, writing.settings, true);
    return quiet ? { ...style, color: style.color ?? settings.textColor } : style;
  };
  const first = styleOf(group.first);
  const turned = settings.direction === "rtl" && group.runs.every((run) => run.piece.leftToRight);
  const inner = group.runs.map((run) => run.piece.html(styleOf(run), writing)).join("");
  return element(
    "a",
    { href: linkAddress(group.link, writing), dir: turned ? "ltr" : null },
    {
      color: first.color ?? look.color,
      "text-decoration": look.underline || first.underline ? "underline" : "none",
    },
    inner,
  );
}

function plainly({ piece, marks }: Run, writing: Writing): string {
  const style = textStyle(marks, writing.settings, false);
  const text = cased(piece.plain, style, writing);
  return style.script === null ? text : plainScript(text, style.script);
}

/** The plain text of a line, with link targets where the text does not show them; null when it does not show. */
export function writeInlinePlain(nodes: readonly Node[], writing: Writing, read: ReadPieces): string | null {
  const runs = visibleRuns(nodes, writing, read);
  if (!runs) return null;
  return grouped(runs)
    .map((group) => {
      const plain = group.runs.map((run) => plainly(run, writing)).join("");
      if (group.link === null || group.runs.every((run) => run.piece.quietLink)) return plain;
      const said = plain.trim();
      const address = publicAddress(group.link, writing.base);
      if (said === "") return address;
      return saysItself(said, address) ? plain : `${plain} <${address}>`;
    })
    .join("")
    .replace(/ +/g, " ")
    .trim();
}
