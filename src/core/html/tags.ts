/**
 * HTML as the tags, texts and comments that it is written in, in their order and each with its place: for what looks at
 * how something is written. What it means is asked of the tree. Offsets count UTF-16 code units from the beginning.
 */
import { wordTable } from "../values";
import { Tokenizer, TokenizerMode, type ParserError, type Token } from "parse5";
import { voidElements } from "./void-elements";

/** Where something stands: from its first letter to behind its last one. */
export interface Extent {
  readonly from: number;
  readonly to: number;
}

export interface WrittenAttribute extends Extent {
  readonly name: string;
}

export interface WrittenTag extends Extent {
  /** `void` has no end tag. */
  readonly kind: "start" | "end" | "void";
  /** In small letters. */
  readonly name: string;
  /** In the order in which they are written. */
  readonly attributes: readonly WrittenAttribute[];
}

export interface WrittenText extends Extent {
  readonly kind: "text";
}

export interface WrittenAside extends Extent {
  readonly kind: "comment" | "doctype";
}

export type Written = WrittenTag | WrittenText | WrittenAside;

/** What is wrong in how a tag or a text is written; the code is one of the HTML standard's parse errors (13.2.2). */
export interface WrittenError extends Extent {
  readonly code: string;
}

export interface TagReading {
  readonly items: readonly Written[];
  readonly errors: readonly WrittenError[];
}

/** Elements whose content is text, whatever it looks like. */
const textModes = wordTable<(typeof TokenizerMode)[keyof typeof TokenizerMode]>({
  title: TokenizerMode.RCDATA,
  textarea: TokenizerMode.RCDATA,
  style: TokenizerMode.RAWTEXT,
  xmp: TokenizerMode.RAWTEXT,
  iframe: TokenizerMode.RAWTEXT,
  noembed: TokenizerMode.RAWTEXT,
  noframes: TokenizerMode.RAWTEXT,
  script: TokenizerMode.SCRIPT_DATA,
});

const extentOf = (location: Token.Location | null | undefined): Extent => ({
  from: location?.startOffset ?? 0,
  to: location?.endOffset ?? 0,
});

/** Reads the tags of any HTML. Linear; never throws. */
export function readTags(html: string): TagReading {
  const items: Written[] = [];
  const errors: WrittenError[] = [];
  let end = 0;
  /** What lies between two tags is text. */
  const put = (item: Written): void => {
    if (item.from > end) items.push({ kind: "text", from: end, to: item.from });
    items.push(item);
    end = item.to;
  };
  const tag = (token: Token.TagToken, kind: "start" | "end"): void => {
    const name = token.tagName;
    const attributes = Object.entries(token.location?.attrs ?? {})
      .map(([attribute, location]) => ({ name: attribute, ...extentOf(location) }))
      .sort((one, other) => one.from - other.from);
    put({
      kind: kind === "start" && voidElements.has(name) ? "void" : kind,
      name,
      attributes,
      ...extentOf(token.location),
    });
    const mode = kind === "start" ? textModes[name] : undefined;
    if (mode !== undefined) tokenizer.state = mode;
  };
  const ignored = (): void => undefined;
  const tokenizer = new Tokenizer(
    { sourceCodeLocationInfo: true },
    {
      onStartTag(token) {
        tag(token, "start");
        // An end tag of another name does not end such a text.
        tokenizer.lastStartTagName = token.tagName;
      },
      onEndTag: (token) => tag(token, "end"),
      onComment: (token) => put({ kind: "comment", ...extentOf(token.location) }),
      onDoctype: (token) => put({ kind: "doctype", ...extentOf(token.location) }),
      onCharacter: ignored,
      onNullCharacter: ignored,
      onWhitespaceCharacter: ignored,
      onEof: ignored,
      onParseError: (error: ParserError) =>
        void errors.push({ code: error.code, from: error.startOffset, to: error.endOffset }),
    },
  );
  tokenizer.write(html, true);
  if (end < html.length) items.push({ kind: "text", from: end, to: html.length });
  return { items, errors };
}
