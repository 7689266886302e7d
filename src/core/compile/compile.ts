/**
 * A signature and a person, written for a destination. The same document, person, base and destination always
 * give the same bytes.
 */
import type { Node } from "prosemirror-model";
import { element, escapeAttribute, escapeText, toNumericReferences } from "../html";
import type { Person } from "../people";
import {
  nodeKinds,
  settingsOf,
  shownTo,
  type BlockKind,
  type DestinationId,
  type Settings,
  type Writing,
} from "../signature";
import { destinations } from "./destinations";

export interface CompileOptions {
  readonly destination: DestinationId;
  /** Whose signature it is; null draws each field's fallback. */
  readonly person: Person | null;
  /** The public address of hosted pictures: `https://…`, with or without a closing slash. */
  readonly base: string;
  /** Draws the places of pictures that are not chosen yet, for looking at a pattern; nothing sent has them. */
  readonly picturePlaces?: boolean;
}

/** A block by its own kind's writer. Inline nodes are written by the line that they stand in. */
function blockKind(node: Node): BlockKind {
  const kind = nodeKinds.get(node.type.name);
  if (!kind || !("write" in kind))
    throw new TypeError(`A ${node.type.name} is written by its line, not by itself`);
  return kind;
}

const write: Writing["write"] = (node, writing) => blockKind(node).write(node, writing);
const writePlain: Writing["writePlain"] = (node, writing) => blockKind(node).writePlain(node, writing);

/**
 * What a document engine is told in the head of a file, in a comment that all others pass over: it puts room beside tables
 * of its own accord.
 */
const documentEngineHead =
  "<!--[if mso]>\n<style>table,td{mso-table-lspace:0pt;mso-table-rspace:0pt}</style>\n<![endif]-->\n";

function wholeFile(body: string, settings: Settings, title: string, head: string): string {
  const language = settings.language || "en";
  return (
    `<!DOCTYPE html>\n<html lang="${escapeAttribute(language)}"${settings.direction === "rtl" ? ' dir="rtl"' : ""}>\n` +
    `<head>\n<meta http-equiv="Content-Type" content="text/html; charset=utf-8">\n` +
    `<title>${escapeText(title)}</title>\n${head}</head>\n<body>\n${body}\n</body>\n</html>\n`
  );
}

/**
 * Compiles a signature document (a valid one: see `parseSignature`) to HTML, or to plain text for the
 * destination `plain-text`. Throws a RangeError for a base that is no http address.
 */
export function compile(given: Node, options: CompileOptions): string {
  if (!/^https?:\/\/[^\s"<>]+$/i.test(options.base))
    throw new RangeError(
      `The public address of pictures must begin with http:// or https://, not ${JSON.stringify(options.base)}`,
    );
  const document = shownTo(given, options.person);
  const destination = destinations[options.destination];
  const settings = settingsOf(document);
  const writing: Writing = {
    settings,
    person: options.person,
    base: options.base.replace(/\/+$/, ""),
    documentEngine: destination.documentEngine,
    strut: settings,
    availableWidth: settings.maxWidth,
    outermost: true,
    rowPlaces: null,
    cell: null,
    rowHeight: null,
    sharedPadding: { top: 0, bottom: 0 },
    standingPictures: false,
    picturePlaces: options.picturePlaces ?? false,
    write,
    writePlain,
  };
  if (destination.form === "plain") {
    const plain = writePlain(document, writing)
      .replace(/\n{3,}/g, "\n\n")
      .trim();
    return plain === "" ? "" : `${plain}\n`;
  }
  const written = write(document, writing);
  // A table that stands by itself is put at the edge where what is around it begins, whatever its own direction.
  const body = settings.direction === "rtl" ? element("div", { dir: "rtl" }, {}, written) : written;
  const html =
    destination.form === "file"
      ? wholeFile(
          body,
          settings,
          options.person?.name || "Signature",
          destination.documentEngine ? documentEngineHead : "",
        )
      : body;
  return destination.numericReferences ? toNumericReferences(html) : html;
}
