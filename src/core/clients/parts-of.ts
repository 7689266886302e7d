/**
 * The parts of a message that was laid out without a browser, as drift compares them: where each stands, what it says, and its colours.
 * By light and in the dark they stand in the same places, so that a message is laid out once and coloured for each.
 */
import {
  attributeOf,
  elementsIn,
  isElement,
  isText,
  lastValue,
  parseDeclarations,
  readValue,
  type Element,
  type TextNode,
} from "../html";
import { parseColor } from "../color";
import {
  around,
  layOut,
  linesOf,
  shifted,
  readOwnStyle,
  type Box,
  type DrawnPart,
  type Page,
  type PlacedWord,
} from "../layout";
import { boxAttribute, partAttribute, wholeAttribute } from "./message";

/** The colours of a message area before a message says its own. */
export interface Ground {
  readonly canvas: string;
  readonly text: string;
  readonly link: string;
}

interface Look {
  readonly color: string;
  readonly behind: string;
  /** Whether it lays that itself. */
  readonly lays: boolean;
  readonly fontFamily: string;
  readonly fontSize: number;
}

const seeThrough = /^(?:transparent|rgba\([^)]*,\s*0\))$/;

/** The colour that a value names; null for one that lets all through, and for none. */
function colorIn(value: string | null): string | null {
  if (value === null || seeThrough.test(value)) return null;
  const color = readValue(value).colors.at(-1)?.source ?? value;
  return parseColor(color) ? color : null;
}

function lookOf(element: Element, near: Look, { link }: Ground): Look {
  const declarations = parseDeclarations(attributeOf(element, "style") ?? "");
  const said = (property: string): string | null => lastValue(declarations, property);
  const size = Number.parseFloat(said("font-size") ?? "");
  const laid =
    colorIn(said("background-color")) ??
    colorIn(said("background")) ??
    colorIn(attributeOf(element, "bgcolor"));
  return {
    color: colorIn(said("color")) ?? (element.tagName === "a" ? link : near.color),
    behind: laid ?? near.behind,
    lays: laid !== null,
    fontFamily: said("font-family") ?? near.fontFamily,
    fontSize: Number.isFinite(size) ? size : near.fontSize,
  };
}

/** The texts of a part: those in it that stand in no other part, each with the element that it stands in. */
function textsOf(part: Element): readonly { readonly text: TextNode; readonly holder: Element }[] {
  return part.childNodes.flatMap((node) => {
    if (isText(node)) return node.value.trim() === "" ? [] : [{ text: node, holder: part }];
    return isElement(node) && attributeOf(node, partAttribute) === null ? textsOf(node) : [];
  });
}

const borderProperty = /^border(-(top|right|bottom|left))?$/;

/** The colour of a box's border; null without one. */
function borderColor(element: Element, { color }: Look): string | null {
  const style = attributeOf(element, "style") ?? "";
  if (Object.values(readOwnStyle(style).border).every((width) => width === 0)) return null;
  const said = parseDeclarations(style).flatMap(({ property, value }) =>
    borderProperty.test(property) ? (colorIn(value) ?? []) : [],
  );
  return said[0] ?? color;
}

type LookOf = (element: Element | null) => Look;

const parentOf = ({ parentNode }: Element): Element | null =>
  parentNode && "tagName" in parentNode ? parentNode : null;

/** Parents come before what is in them. */
function looksOf(elements: readonly Element[], ground: Ground): LookOf {
  const outside: Look = {
    color: ground.text,
    behind: ground.canvas,
    ...{ lays: false, fontFamily: "", fontSize: 0 },
  };
  const found = new Map<Element, Look>();
  const known: LookOf = (element) => (element && found.get(element)) ?? outside;
  for (const element of elements) found.set(element, lookOf(element, known(parentOf(element)), ground));
  return known;
}

/** Numbers below zero, since a cell may hold text as well. */
const boxId = (said: string): number => -1 - Number(said);

interface Named {
  readonly element: Element;
  readonly id: number;
  readonly kind: "part" | "box";
}

/** The elements that were named (see `messageOf`): texts and pictures first, then boxes. */
function namedIn(elements: readonly Element[]): readonly Named[] {
  const by = (name: string, kind: Named["kind"], idOf: (said: string) => number): readonly Named[] =>
    elements.flatMap((element) => {
      const said = attributeOf(element, name);
      return said === null ? [] : [{ element, id: idOf(said), kind }];
    });
  return [...by(partAttribute, "part", Number), ...by(boxAttribute, "box", boxId)];
}

type Colors = Pick<DrawnPart, "color" | "behind">;

function colorsOf({ element, kind }: Named, look: LookOf): Colors {
  const own = look(element);
  if (kind === "box") return { color: borderColor(element, own) ?? own.behind, behind: own.behind };
  // Links that a client makes by itself have a colour of their own.
  const { color, behind } = look(textsOf(element)[0]?.holder ?? element);
  return { color, behind };
}

/** The same parts in the colours of another drawing of their message. */
export function inColorsOf(parts: readonly DrawnPart[], body: Element, ground: Ground): readonly DrawnPart[] {
  const elements = elementsIn(body);
  const look = looksOf(elements, ground);
  const colors = new Map(namedIn(elements).map((named) => [named.id, colorsOf(named, look)]));
  return parts.map((part) => ({ ...part, ...colors.get(part.id) }));
}

function wordsByText(words: readonly PlacedWord[]): (text: TextNode) => readonly PlacedWord[] {
  const found = new Map<TextNode, PlacedWord[]>();
  for (const word of words) {
    if (word.width <= 0) continue;
    const own = found.get(word.node);
    if (own) own.push(word);
    else found.set(word.node, [word]);
  }
  return (text) => found.get(text) ?? [];
}

/** What a part is, beside where it stands and its colours. */
type Said = Pick<DrawnPart, "kind" | "text" | "lines" | "fontSize" | "fontFamily" | "source">;

const pictureSaid = (element: Element): Said => ({
  kind: "picture",
  text: attributeOf(element, "alt") ?? "",
  source: (attributeOf(element, "src") ?? "").split("?")[0] ?? "",
  ...{ lines: [], fontSize: 0, fontFamily: "" },
});

const boxSaid = (bordered: boolean): Said => ({
  kind: "box",
  text: bordered ? "border" : "filled cell",
  ...{ lines: [], fontSize: 0, fontFamily: "", source: "" },
});

/** Lays out a message whose parts are named (see `messageOf`), and gives each with its place from the signature's top left. */
export function partsOf(body: Element, page: Page, ground: Ground): readonly DrawnPart[] {
  const geometry = layOut(body, page);
  const elements = elementsIn(body);
  const look = looksOf(elements, ground);
  const boxes = new Map(geometry.elements.map((placed) => [placed.element, placed]));
  const wordsOf = wordsByText(geometry.words);
  const whole = elements.find((element) => attributeOf(element, wholeAttribute) !== null);
  const { left = 0, top = 0 } = (whole && boxes.get(whole)) ?? {};

  /** What is drawn of it, and what it is; null where nothing of it is drawn. */
  const drawnOf = ({
    element,
    kind,
  }: Named): { readonly boxes: readonly Box[]; readonly said: Said } | null => {
    const box = boxes.get(element);
    const own = look(element);
    if (kind === "box") {
      const bordered = borderColor(element, own) !== null;
      return box && (bordered || own.lays) ? { boxes: [box], said: boxSaid(bordered) } : null;
    }
    if (element.tagName === "img") return box ? { boxes: [box], said: pictureSaid(element) } : null;
    const texts = textsOf(element).map(({ text }) => text);
    const words = texts.flatMap(wordsOf);
    const { fontSize, fontFamily } = own;
    const text = texts.map(({ value }) => value.trim()).join(" ");
    const said: Said = { kind: "text", text, lines: linesOf(words), fontSize, fontFamily, source: "" };
    return words.length > 0 ? { boxes: words, said } : null;
  };

  return namedIn(elements).flatMap((named) => {
    const drawn = drawnOf(named);
    if (!drawn) return [];
    const box = shifted(around(drawn.boxes), -left, -top);
    return [{ id: named.id, ...drawn.said, ...box, ...colorsOf(named, look) }];
  });
}
