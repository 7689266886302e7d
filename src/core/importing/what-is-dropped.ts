/** What a signature cannot hold of some HTML: said after a paste, so that nothing goes unseen. */
import {
  attributeOf,
  elementsIn,
  lastValue,
  parseDeclarations,
  parseParts,
  type Declaration,
  type Element,
} from "../html";
import { linkTarget, webSafeFont } from "../signature";

export type DropCode =
  | "picture-on-disk"
  | "picture-embedded"
  | "picture-without-size"
  | "media"
  | "list-marks"
  | "placing"
  | "background-picture"
  | "font"
  | "link";

export interface Dropped {
  readonly code: DropCode;
  readonly count: number;
}

const media = new Set(
  "audio button canvas embed form frame iframe input object select svg textarea video".split(" "),
);
/** Cells keep their padding, and lines their order: these move things, and no two clients agree how. */
const placing = /^(float|position|margin(-\w+)?|box-shadow|text-shadow|transform)$/;
/** The values of those properties that move nothing. */
const still = /^(none|static|normal|0(px|pt|em|in|cm)?( 0(px|pt|em|in|cm)?)*)$/;

const declarationsOf = (element: Element): readonly Declaration[] =>
  parseDeclarations(attributeOf(element, "style") ?? "");

function pictureCodes(element: Element): DropCode[] {
  const source = attributeOf(element, "src") ?? "";
  if (/^data:/i.test(source)) return ["picture-embedded"];
  if (!/^https?:/i.test(source)) return ["picture-on-disk"];
  const style = declarationsOf(element);
  const sized = ["width", "height"].every(
    (side) =>
      /^\d+/.test(attributeOf(element, side) ?? "") || /^[\d.]+px$/.test(lastValue(style, side) ?? ""),
  );
  return sized ? [] : ["picture-without-size"];
}

function styleCodes(element: Element): DropCode[] {
  const codes: DropCode[] = [];
  const style = declarationsOf(element);
  const moves = style.some(({ property, value }) =>
    property === "display"
      ? /^(inline-)?(flex|grid)$/.test(value)
      : placing.test(property) && !still.test(value),
  );
  if (moves) codes.push("placing");
  if (/url\(/i.test(lastValue(style, "background") ?? lastValue(style, "background-image") ?? ""))
    codes.push("background-picture");
  const family = (lastValue(style, "font-family") ?? attributeOf(element, "face") ?? "")
    .split(",", 1)
    .join("")
    .trim();
  if (family && !webSafeFont(family.replace(/^['"]|['"]$/g, ""))) codes.push("font");
  return codes;
}

function codesOf(element: Element): DropCode[] {
  const codes = styleCodes(element);
  const name = element.tagName;
  if (name === "img") codes.push(...pictureCodes(element));
  if (media.has(name)) codes.push("media");
  if (name === "li") codes.push("list-marks");
  const href = name === "a" ? attributeOf(element, "href") : null;
  if (href !== null && linkTarget.check(href.trim()) !== null) codes.push("link");
  return codes;
}

/** Everything in some HTML that a signature cannot hold, counted by kind; text is always kept. Never throws. */
export function whatIsDropped(html: string): readonly Dropped[] {
  const counts = new Map<DropCode, number>();
  for (const element of elementsIn(parseParts(html)))
    for (const code of codesOf(element)) counts.set(code, (counts.get(code) ?? 0) + 1);
  return [...counts].map(([code, count]) => ({ code, count }));
}

const words: Readonly<Record<DropCode, (count: number) => string>> = {
  "picture-on-disk": (n) =>
    `${n === 1 ? "a picture" : `${n} pictures`} on a disk: upload ${n === 1 ? "it" : "them"} instead`,
  "picture-embedded": (n) =>
    `${n === 1 ? "a picture" : `${n} pictures`} inside the text: upload ${n === 1 ? "it" : "them"} instead`,
  "picture-without-size": (n) => `the size of ${n === 1 ? "a picture" : `${n} pictures`}: it was not given`,
  media: () => "films, forms and frames",
  "list-marks": () => "the marks of lists",
  placing: () => "margins, floats and shadows",
  "background-picture": () => "background pictures",
  font: () => "fonts that recipients do not have",
  link: (n) => (n === 1 ? "a link that leads nowhere" : `${n} links that lead nowhere`),
};

/** One line for each kind of thing that was dropped. */
export const droppedInWords = (dropped: readonly Dropped[]): readonly string[] =>
  dropped.map(({ code, count }) => words[code](count));
