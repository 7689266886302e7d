/**
 * What is left of a signature after a letter was answered some times: its words, links and pictures, and how each looks, as the
 * HTML declares it. Each word is looked for where it stands alone in its element, the innermost quote last, so that the answers'
 * own signatures do not count for the first.
 */
import {
  attributeOf,
  isElement,
  isText,
  parseDeclarations,
  parseMessage,
  visitNodes,
  type Element,
  type ParentNode,
} from "../html";

/** Of how many, how many are as they were. */
export type Kept = readonly [kept: number, of: number];

export interface Left {
  readonly words: Kept;
  readonly links: Kept;
  readonly pictures: Kept;
  /** Colours, sizes, weights and fonts of words, and sizes of pictures. */
  readonly looks: Kept;
  /** How often the signature stands in the letter, told by its first words. */
  readonly stands: number;
}

const watched = ["color", "font-size", "font-family", "font-weight", "text-decoration"] as const;
type Look = Readonly<Record<string, string>>;

interface Piece {
  readonly kind: "words" | "picture";
  /** The words, or the alternative of a picture. */
  readonly says: string;
  readonly link: string | null;
  readonly look: Look;
}

const plain = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();

/** What is declared for an element, over what it inherits. */
function lookOf(element: Element, inherited: Look): Look {
  const own = Object.fromEntries(
    parseDeclarations(attributeOf(element, "style") ?? "").flatMap(({ property, value }) =>
      watched.some((each) => each === property)
        ? [[property, value.toLowerCase().replace(/["'\s]/g, "")]]
        : [],
    ),
  );
  const bold: Look = /^(b|strong)$/.test(element.tagName) ? { "font-weight": "bold" } : {};
  return { ...inherited, ...bold, ...own };
}

/** The size that a picture is drawn at: its style's, else that of its attributes; px. */
function pictureLook(element: Element): Look {
  const style = parseDeclarations(attributeOf(element, "style") ?? "");
  const side = (name: "width" | "height"): string =>
    String(
      parseInt(
        style.find(({ property }) => property === name)?.value ?? attributeOf(element, name) ?? "",
        10,
      ),
    );
  return { width: side("width"), height: side("height") };
}

/** The pieces of some HTML in their order. */
function piecesOf(html: string): readonly Piece[] {
  const { body } = parseMessage(html);
  const pieces: Piece[] = [];
  const looks = new Map<ParentNode, Look>([[body, {}]]);
  const links = new Map<ParentNode, string | null>([[body, null]]);
  visitNodes(body, {
    enter: (node, parent) => {
      const inherited = looks.get(parent) ?? {};
      const link = links.get(parent) ?? null;
      if (isText(node)) {
        const says = plain(node.value);
        if (says !== "") pieces.push({ kind: "words", says, link, look: inherited });
        return;
      }
      if (!isElement(node)) return;
      looks.set(node, lookOf(node, inherited));
      links.set(node, node.tagName === "a" ? attributeOf(node, "href") : link);
      if (node.tagName === "img")
        pieces.push({
          kind: "picture",
          says: plain(attributeOf(node, "alt") ?? ""),
          link,
          look: pictureLook(node),
        });
    },
  });
  return pieces;
}

/** Compares a signature with the last of its like in a letter. Both as HTML; never throws. */
export function whatIsLeft(signature: string, letter: string): Left {
  const first = piecesOf(signature);
  const there = [...piecesOf(letter)];
  let [words, links, pictures, looks] = [0, 0, 0, 0];
  // The first signature is quoted deepest, and stands last.
  for (const piece of [...first].reverse()) {
    const at = there.findLastIndex(({ kind, says }) => kind === piece.kind && says === piece.says);
    const found = there[at];
    if (!found) continue;
    there.length = at;
    if (piece.kind === "words") words += 1;
    else pictures += 1;
    if (piece.link !== null && found.link === piece.link) links += 1;
    looks += Object.entries(piece.look).filter(([name, value]) => found.look[name] === value).length;
  }
  const name = first.find(({ kind }) => kind === "words")?.says;
  const count = (kind: Piece["kind"]): number => first.filter((piece) => piece.kind === kind).length;
  return {
    words: [words, count("words")],
    links: [links, first.filter(({ link }) => link !== null).length],
    pictures: [pictures, count("picture")],
    looks: [looks, first.reduce((sum, { look }) => sum + Object.keys(look).length, 0)],
    stands: piecesOf(letter).filter(({ kind, says }) => kind === "words" && says === name).length,
  };
}
