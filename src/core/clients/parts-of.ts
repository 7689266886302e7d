/** The parts of a message that was laid out without a browser, as drift compares them: where each stands, what it says, and its colours. */
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
  type DrawnPart,
  type Page,
  type PlacedElement,
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
  return {
    color: colorIn(said("color")) ?? (element.tagName === "a" ? link : near.color),
    behind:
      colorIn(said("background-color")) ??
      colorIn(said("background")) ??
      colorIn(attributeOf(element, "bgcolor")) ??
      near.behind,
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
  const borders = parseDeclarations(attributeOf(element, "style") ?? "").filter(
    ({ property, value }) =>
      borderProperty.test(property) &&
      /solid|dotted|dashed|double/.test(value) &&
      readValue(value).parts.some(({ kind, number }) => kind === "number" && number > 0),
  );
  const [first] = borders;
  return first ? (colorIn(first.value) ?? color) : null;
}

/** A message that was laid out, as its parts are read from it. */
interface Laid {
  readonly boxes: ReadonlyMap<Element, PlacedElement>;
  readonly wordsOf: (text: TextNode) => readonly PlacedWord[];
  readonly lookOf: (element: Element | null) => Look;
}

function wordsByText(words: readonly PlacedWord[]): Laid["wordsOf"] {
  const found = new Map<TextNode, PlacedWord[]>();
  for (const word of words) {
    if (word.width <= 0) continue;
    const own = found.get(word.node);
    if (own) own.push(word);
    else found.set(word.node, [word]);
  }
  return (text) => found.get(text) ?? [];
}

const parentOf = ({ parentNode }: Element): Element | null =>
  parentNode && "tagName" in parentNode ? parentNode : null;

/** Parents come before what is in them. */
function looksOf(elements: readonly Element[], ground: Ground, { type }: Page): Laid["lookOf"] {
  const outside: Look = {
    color: ground.text,
    behind: ground.canvas,
    fontFamily: type.families.join(),
    fontSize: type.size,
  };
  const found = new Map<Element, Look>();
  const known = (element: Element | null): Look => (element && found.get(element)) ?? outside;
  for (const element of elements) found.set(element, lookOf(element, known(parentOf(element)), ground));
  return known;
}

/** A picture or a run of text; null where nothing of it is drawn. */
function shownPart(element: Element, id: string, { boxes, wordsOf, lookOf: look }: Laid): DrawnPart | null {
  const picture = element.tagName === "img";
  const texts = picture ? [] : textsOf(element);
  const spoken = texts.flatMap(({ text }) => wordsOf(text));
  const box = boxes.get(element);
  const drawn = picture ? (box ? [box] : []) : spoken;
  if (drawn.length === 0) return null;
  const { color, behind } = look(texts[0]?.holder ?? element);
  const { fontSize, fontFamily } = look(element);
  return {
    id: Number(id),
    kind: picture ? "picture" : "text",
    text: picture
      ? (attributeOf(element, "alt") ?? "")
      : texts.map(({ text }) => text.value.trim()).join(" "),
    ...around(drawn),
    lines: linesOf(spoken),
    ...{ color, behind, fontSize, fontFamily },
    source: picture ? ((attributeOf(element, "src") ?? "").split("?")[0] ?? "") : "",
  };
}

/** A cell that is drawn with a border or filled; null where both are gone. */
function boxPart(element: Element, id: string, { boxes, lookOf: look }: Laid): DrawnPart | null {
  const box = boxes.get(element);
  const own = look(element);
  const border = borderColor(element, own);
  const filled = attributeOf(element, "bgcolor") !== null || own.behind !== look(parentOf(element)).behind;
  if (!box || (border === null && !filled)) return null;
  const { left, top, width, height } = box;
  return {
    // Numbers below zero, since a cell may hold text as well.
    id: -1 - Number(id),
    kind: "box",
    text: border === null ? "filled cell" : "border",
    ...{ left, top, width, height },
    lines: [],
    color: border ?? own.behind,
    behind: own.behind,
    ...{ fontSize: 0, fontFamily: "", source: "" },
  };
}

/** Lays out a message whose parts are named (see `messageOf`), and gives each with its place from the signature's top left. */
export function partsOf(body: Element, page: Page, ground: Ground): readonly DrawnPart[] {
  const geometry = layOut(body, page);
  const elements = elementsIn(body);
  const laid: Laid = {
    boxes: new Map(geometry.elements.map((placed) => [placed.element, placed])),
    wordsOf: wordsByText(geometry.words),
    lookOf: looksOf(elements, ground, page),
  };
  const whole = elements.find((element) => attributeOf(element, wholeAttribute) !== null);
  const { left = 0, top = 0 } = (whole && laid.boxes.get(whole)) ?? {};
  const partsBy = (
    name: string,
    read: (element: Element, id: string, laid: Laid) => DrawnPart | null,
  ): readonly DrawnPart[] =>
    elements.flatMap((element) => {
      const id = attributeOf(element, name);
      const part = id === null ? null : read(element, id, laid);
      return part ? [{ ...part, ...shifted(part, -left, -top) }] : [];
    });
  return [...partsBy(partAttribute, shownPart), ...partsBy(boxAttribute, boxPart)];
}
