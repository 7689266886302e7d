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
import { around, layOut, linesOf, shifted, type DrawnPart, type Page, type PlacedWord } from "../layout";
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

export interface LaidParts {
  readonly parts: readonly DrawnPart[];
  /** How far to the right what is drawn reaches; px from the pane's margin. */
  readonly width: number;
  /** The size of the whole signature; px. */
  readonly whole: { readonly width: number; readonly height: number };
}

/** Lays out a message whose parts are named (see `messageOf`), and gives each with its place from the signature's top left. */
export function partsOf(body: Element, page: Page, ground: Ground): LaidParts {
  const geometry = layOut(body, page);
  const boxes = new Map(geometry.elements.map((placed) => [placed.element, placed]));
  const words = new Map<TextNode, PlacedWord[]>();
  for (const word of geometry.words) {
    if (word.width <= 0) continue;
    const own = words.get(word.node);
    if (own) own.push(word);
    else words.set(word.node, [word]);
  }
  const looks = new Map<Element, Look>();
  const outside: Look = {
    color: ground.text,
    behind: ground.canvas,
    fontFamily: page.type.families.join(),
    fontSize: page.type.size,
  };
  const elements = elementsIn(body);
  for (const element of elements) {
    const parent = element.parentNode;
    const near = (parent && "tagName" in parent ? looks.get(parent) : undefined) ?? outside;
    looks.set(element, lookOf(element, near, ground));
  }
  const look = (element: Element): Look => looks.get(element) ?? outside;
  const whole = elements.find((element) => attributeOf(element, wholeAttribute) !== null);
  const { left = 0, top = 0, width = 0, height = 0 } = (whole && boxes.get(whole)) ?? {};
  const parts: DrawnPart[] = [];
  for (const element of elements) {
    const id = attributeOf(element, partAttribute);
    if (id !== null) {
      const picture = element.tagName === "img";
      const texts = picture ? [] : textsOf(element);
      const spoken = texts.flatMap(({ text }) => words.get(text) ?? []);
      const box = boxes.get(element);
      const drawn = picture ? (box ? [box] : []) : spoken;
      if (drawn.length === 0) continue;
      const { left: x, top: y, width: wide, height: high } = around(drawn);
      const shown = look(texts[0]?.holder ?? element);
      parts.push({
        id: Number(id),
        kind: picture ? "picture" : "text",
        text: picture
          ? (attributeOf(element, "alt") ?? "")
          : texts.map(({ text }) => text.value.trim()).join(" "),
        ...shifted({ left: x, top: y, width: wide, height: high }, -left, -top),
        lines: linesOf(spoken),
        ...{ color: shown.color, behind: shown.behind },
        ...{ fontSize: look(element).fontSize, fontFamily: look(element).fontFamily },
        source: picture ? ((attributeOf(element, "src") ?? "").split("?")[0] ?? "") : "",
      });
    }
  }
  for (const element of elements) {
    const id = attributeOf(element, boxAttribute);
    const box = boxes.get(element);
    if (id === null || !box) continue;
    const own = look(element);
    const border = borderColor(element, own);
    const parent = element.parentNode;
    const near = parent && "tagName" in parent ? look(parent) : outside;
    const filled = attributeOf(element, "bgcolor") !== null || own.behind !== near.behind ? own.behind : null;
    if (border === null && filled === null) continue;
    parts.push({
      id: -1 - Number(id),
      kind: "box",
      text: border === null ? "filled cell" : "border",
      ...shifted({ left: box.left, top: box.top, width: box.width, height: box.height }, -left, -top),
      lines: [],
      color: border ?? own.behind,
      behind: own.behind,
      ...{ fontSize: 0, fontFamily: "", source: "" },
    });
  }
  return { parts, width: geometry.width, whole: { width, height } };
}
