/** What holds nothing else: pictures, rules, fields of forms, and the marks that word processors write out. Lengths in px. */
import { attributeOf, elementsIn, isText, walkLeaves, type Element } from "../../html";
import { plainBox } from "../style/look";
import { onlyCell, type Frame, type StyledElement } from "./frames";
import { wordsOf } from "./losses";
import { pictureKind, readPicture } from "./read-pictures";
import { openRow, sayFloat } from "./side-by-side";
import type { Walk } from "./walk";

/** Whether nothing but text is in an element: a list's mark that is or holds a picture, or leads somewhere, is more than a mark. */
export const isOfText = (element: Element): boolean =>
  elementsIn(element).every(({ tagName }) => tagName !== "img" && tagName !== "a");

/** The mark of a list that a word processor writes out beside the text. */
export function setWordMarker(walk: Walk, element: Element, frame: Frame): void {
  const written: string[] = [];
  walkLeaves(element, (node) => {
    if (isText(node)) written.push(node.value);
  });
  const mark = wordsOf(written.join(""));
  if (mark === "") return;
  const dot = !/^[\p{L}\p{N}]{1,3}[.)]?$/u.test(mark) || mark === "o";
  walk.flowOf(frame).setMarker(`${dot ? "•" : mark}\u00a0`);
  walk.reporter.say(
    element,
    "changed",
    "list",
    dot && mark.length > 1 ? mark : "the mark of a list",
    "clients indent lists each in their own way: it is written before the text",
  );
}

export function addPicture(walk: Walk, { element, look, box }: StyledElement, frame: Frame): void {
  const { say } = walk.reporter;
  if (look.hidden) return walk.losses.loseWords(element, "it is hidden");
  const reading = readPicture(element, box, frame.room, walk.find);
  const written = attributeOf(element, "src") ?? "";
  // What lies in the text itself is as long as the picture is.
  const address = written.startsWith("data:") ? `${written.slice(0, 40)}…` : written;
  const flow = walk.flowOf(frame);
  if (reading.is === "nothing")
    return say(element, "lost", "picture", attributeOf(element, "alt") ?? "", "it has no address");
  if (reading.is === "pixel")
    return say(element, "lost", "picture", address, "it shows nothing: it counts who opens the mail");
  if (reading.is === "room") {
    say(element, "changed", "picture", address, "it only holds room: a spacer stands for it");
    if (reading.height > 1 && box.display !== "inline") flow.addSpace(reading.height, element);
    else if (reading.height > 4 && reading.width <= 4) flow.addSpace(reading.height, element);
    return;
  }
  const { picture } = reading;
  walk.pictures.push({
    kind: pictureKind(reading.asked),
    address: reading.asked,
    alt: picture.alt,
    found: reading.found,
    width: picture.width,
  });
  if (!reading.found)
    say(element, "changed", "picture", address, "nobody else sees it there: it has to be taken in");
  if (!reading.sizeKnown)
    say(
      element,
      "changed",
      "size",
      address,
      `its size is not said: it is ${picture.width} × ${picture.height} px`,
    );
  const linked = walk.maps.lookOf(element, look);
  const shown = { kind: "picture" as const, picture, look: linked, element };
  if (box.radius > 0)
    say(
      element,
      "lost",
      "style",
      "border-radius",
      "desktop mail draws no round pictures: cut it round in Pictures",
    );
  if (Object.values(box.border).some((side) => side !== null))
    say(
      element,
      "lost",
      "border",
      "the border of a picture",
      "a picture has none of its own: give its cell one",
    );
  if (box.float && frame.row?.kind !== "line") {
    sayFloat(walk, { element, look, box });
    const row = openRow(walk, frame, element, "floats");
    const cell = onlyCell(
      { element, look: { ...linked, verticalAlign: "top" }, box: { ...plainBox, padding: box.margin } },
      [shown],
    );
    if (box.float === "right") row.after.unshift(cell);
    else row.before.push(cell);
    return;
  }
  if (box.display === "block") {
    flow.addMargin(box.margin.top, element);
    flow.addPart(shown);
    flow.addMargin(box.margin.bottom, element);
  } else
    flow.addPicture(
      { ...shown, beside: Math.max(0, box.margin.left) + Math.max(0, box.margin.right) },
      frame.paragraph,
    );
}

export function addDivider(walk: Walk, { element, look, box }: StyledElement, frame: Frame): void {
  const flow = walk.flowOf(frame);
  const { margin, border, background } = box;
  const side = border.top ?? border.bottom;
  // A rule of which nothing is said is grey; its own colour is that of its text.
  const own = look.color === frame.look.color ? "#808080" : look.color;
  flow.addMargin(margin.top, element);
  flow.addPart({
    kind: "divider",
    thickness: side?.width ?? box.height ?? 1,
    style: side?.style ?? "solid",
    color: side?.color ?? background ?? own,
    width: box.width,
    element,
  });
  flow.addMargin(margin.bottom, element);
}

export function addInput(walk: Walk, { element, look }: StyledElement, frame: Frame): void {
  const value = attributeOf(element, "value") ?? "";
  walk.reporter.say(
    element,
    "changed",
    "running",
    "<input>",
    "nothing can be filled in in a mail: its words are kept",
  );
  if (value !== "" && attributeOf(element, "type") !== "hidden")
    walk.flowOf(frame).addText(value, look, frame.paragraph);
}
