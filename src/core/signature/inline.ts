/**
 * Writing a run of inline content: what an empty field takes with it, which separators disappear, which
 * pieces share one link, and how text carries its styling so that no client recolours it. Sizes in px.
 */
import type { Mark, Node } from "prosemirror-model";
import { element, escapeText, type Declarations } from "./html";
import { fontStack } from "./fonts";
import type { Settings } from "./kinds/signature";
import type { LinkAttributes } from "./marks/link";
import { linkAddress, publicAddress, type Writing } from "./writing";

/** The styling of one run, read off its marks. */
export interface TextStyle {
  readonly bold: boolean;
  readonly italic: boolean;
  readonly underline: boolean;
  readonly color: string | null;
  readonly size: number;
  readonly font: string;
  /** Added after each letter; px. */
  readonly letterSpacing: number;
  readonly upperCase: boolean;
  /** How the link around the run is drawn, which must be said again on the text; null outside links. */
  readonly link: LinkLook | null;
}

export interface LinkLook {
  readonly color: string;
  readonly underline: boolean;
}

/** What one inline node contributes to its line. */
export interface Piece {
  readonly role: "content" | "space" | "separator" | "break" | "nothing";
  /** Where it leads of itself; a link mark wins over it. */
  readonly link: string | null;
  /** Whether its own link is drawn in the colour of the text around it: a date, an address. */
  readonly quietLink?: boolean;
  /** Whether it reads from left to right even in a signature that does not: numbers and addresses. */
  readonly leftToRight?: boolean;
  readonly plain: string;
  readonly html: (style: TextStyle, writing: Writing) => string;
  /** An empty field that was told to take its whole line with it. */
  readonly takesLine?: boolean;
}

/** The part of an inline kind that the line's writer calls; keyed by node type in `schema`. */
export type ReadPieces = (node: Node, writing: Writing) => readonly Piece[];

const mark = (marks: readonly Mark[], name: string): Mark | undefined =>
  marks.find((candidate) => candidate.type.name === name);

/** What one link says of its own colour and underline, and of the signature's where it says nothing. */
function linkLook(marks: readonly Mark[], { linkColor, linkUnderline }: Settings): LinkLook {
  const own = mark(marks, "link")?.attrs as Partial<LinkAttributes> | undefined;
  return { color: own?.color ?? linkColor, underline: own?.underline ?? linkUnderline };
}

export function textStyle(marks: readonly Mark[], writing: Writing, linked: boolean): TextStyle {
  const { settings } = writing;
  return {
    bold: mark(marks, "bold") !== undefined,
    italic: mark(marks, "italic") !== undefined,
    underline: mark(marks, "underline") !== undefined,
    color: (mark(marks, "color")?.attrs.color as string | undefined) ?? null,
    size: (mark(marks, "size")?.attrs.size as number | undefined) ?? settings.size,
    font: (mark(marks, "font")?.attrs.font as string | undefined) ?? settings.font,
    letterSpacing: (mark(marks, "letterSpacing")?.attrs.spacing as number | undefined) ?? 0,
    upperCase: mark(marks, "upperCase") !== undefined,
    link: linked ? linkLook(marks, settings) : null,
  };
}

const cased = (text: string, { upperCase }: Pick<TextStyle, "upperCase">, { settings }: Writing): string =>
  upperCase ? text.toLocaleUpperCase(settings.language || "en") : text;

/** Text in the fewest elements that carry its style: `<b style="…">`, `<i>`, `<span style="…">` or bare. */
export function styledText(
  text: string,
  style: TextStyle,
  writing: Writing,
  extra: Declarations = {},
): string {
  const { settings } = writing;
  const declarations: Declarations = {
    color: style.color ?? style.link?.color ?? null,
    "font-family": style.font === settings.font ? null : fontStack(style.font),
    "font-size": style.size === settings.size ? null : style.size,
    "letter-spacing": style.letterSpacing || null,
    "font-style": style.bold && style.italic ? "italic" : null,
    "text-decoration": style.underline || style.link?.underline ? "underline" : style.link ? "none" : null,
    ...extra,
  };
  const content = escapeText(cased(text, style, writing));
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
    const link = (mark(node.marks, "link")?.attrs.href as string | undefined) ?? null;
    for (const piece of read(node, writing)) {
      if (piece.takesLine) return null;
      if (piece.role === "nothing") continue;
      const run: Run = { piece, marks: node.marks, link: link ?? piece.link };
      if (piece.role === "content") {
        shown.push(...waiting, run);
        waiting = [];
        content = true;
      } else if (piece.role === "break") {
        waiting = [];
        shown.push(run);
      } else if (shown.at(-1) && shown.at(-1)!.piece.role !== "break") {
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

const sameMark = (one: readonly Mark[], other: readonly Mark[], name: string): boolean =>
  mark(other, name) ? (mark(one, name)?.eq(mark(other, name)!) ?? false) : !mark(one, name);

interface Group {
  readonly link: string | null;
  readonly runs: Run[];
}

function grouped(runs: readonly Run[]): readonly Group[] {
  const groups: Group[] = [];
  for (const run of runs) {
    const last = groups.at(-1);
    const sameLink = last?.link === run.link && sameMark(last.runs[0]!.marks, run.marks, "link");
    if (last && sameLink && run.piece.role !== "break") last.runs.push(run);
    else groups.push({ link: run.link, runs: [run] });
  }
  return groups;
}

/** The inline HTML of a line, or null when the line does not show. */
export function writeInline(nodes: readonly Node[], writing: Writing, read: ReadPieces): string | null {
  const runs = visibleRuns(nodes, writing, read);
  if (!runs) return null;
  return grouped(runs)
    .map((group) => writeGroup(group, writing))
    .join("");
}

function writeGroup(group: Group, writing: Writing): string {
  if (group.link === null)
    return group.runs.map((run) => run.piece.html(textStyle(run.marks, writing, false), writing)).join("");
  const { settings } = writing;
  const look = linkLook(group.runs[0]!.marks, settings);
  const quiet = group.runs.every((run) => run.piece.quietLink);
  const styles = group.runs.map((run) => {
    const style = textStyle(run.marks, writing, true);
    return quiet ? { ...style, color: style.color ?? settings.textColor } : style;
  });
  const turned = settings.direction === "rtl" && group.runs.every((run) => run.piece.leftToRight);
  const inner = group.runs.map((run, index) => run.piece.html(styles[index]!, writing)).join("");
  return element(
    "a",
    { href: linkAddress(group.link, writing), dir: turned ? "ltr" : null },
    {
      color: styles[0]!.color ?? look.color,
      "text-decoration": look.underline || styles[0]!.underline ? "underline" : "none",
    },
    inner,
  );
}

/** The plain text of a line, with link targets where the text does not show them; null when it does not show. */
export function writeInlinePlain(nodes: readonly Node[], writing: Writing, read: ReadPieces): string | null {
  const runs = visibleRuns(nodes, writing, read);
  if (!runs) return null;
  return grouped(runs)
    .map((group) => {
      const plain = group.runs
        .map((run) => cased(run.piece.plain, textStyle(run.marks, writing, false), writing))
        .join("");
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

/** The largest text size in a line, which its line height follows; px. */
export function largestSize(nodes: readonly Node[], writing: Writing): number {
  return nodes.reduce(
    (largest, node) => Math.max(largest, textStyle(node.marks, writing, false).size),
    nodes.length === 0 ? writing.settings.size : 0,
  );
}
