/**
 * Reads a parsed message into parts: what each element is, told by its name and its look. Lengths in px.
 */
import { isElement, isText, type ChildNode, type Element } from "../../html";
import { initialLook, type Box, type Look } from "../style/look";
import { openAnonymous, openBlock, openCell, openInline, openTable, openTableRow, isBox } from "./boxes";
import type { Frame } from "./frames";
import { addDivider, addInput, addPicture, isOfText, setWordMarker } from "./leaves";
import { asking, left, wordsOf } from "./losses";
import { OpenFlow } from "./open-flow";
import type { Part } from "./parts";
import type { MentionedPicture } from "./read-pictures";
import { closeRow, openBeside, openBoxes, openFloating } from "./side-by-side";
import { Walk, type ReadPartsOptions } from "./walk";

export interface PartsReading {
  readonly parts: readonly Part[];
  readonly pictures: readonly MentionedPicture[];
  readonly look: Look;
}

/** Whether a box ends the line that it comes in. */
const beginsBlock = ({ display, float }: Box): boolean =>
  float === null && display !== "inline" && display !== "inline-block" && display !== "cell";

function enter(walk: Walk, node: ChildNode, frame: Frame): void {
  if (isText(node)) addText(walk, node.value, frame);
  else if (isElement(node)) enterElement(walk, node, frame);
}

function addText(walk: Walk, value: string, frame: Frame): void {
  if (frame.table && !frame.table.implied) {
    // Only white space stands between the rows of a table; a parser moves all else out.
    if (value.trim() !== "") walk.flowOf(frame).addText(value, frame.look, frame.paragraph);
    return;
  }
  if (frame.look.hidden) {
    if (wordsOf(value) !== "")
      walk.reporter.say(frame.element, "lost", "hidden", wordsOf(value), "it is hidden");
    return;
  }
  if (frame.table?.implied && value.trim() === "") return;
  walk.flowOf(frame).addText(value, frame.look, frame.paragraph);
}

function enterElement(walk: Walk, element: Element, frame: Frame): void {
  const { tagName } = element;
  const { say } = walk.reporter;
  if (left.has(tagName)) return walk.losses.lose(element);
  const isCell = tagName === "td" || tagName === "th";
  const styled = walk.cascade.read(
    element,
    frame.look,
    isCell && !frame.table?.implied ? frame.table?.cells : undefined,
  );
  const { look, box } = styled;
  if (box.display === "none" && !["col", "colgroup", "area"].includes(tagName)) {
    say(element, "lost", "hidden", `<${tagName}>`, "it is hidden");
    return walk.losses.loseWords(element, "it is hidden");
  }
  if (asking.has(tagName))
    say(
      element,
      "changed",
      "running",
      `<${tagName}>`,
      "nothing can be filled in in a mail: its words are kept",
    );
  const own = { element, look, box };
  if (frame.row && (box.clear || (frame.row.kind === "line" && (tagName === "br" || beginsBlock(box))))) {
    closeRow(walk, frame);
    // The break that ends a line of boxes is the end of that line.
    if (tagName === "br") return;
  }
  if (frame.table?.implied && (tagName === "img" || box.display === "inline"))
    return openAnonymous(walk, element, frame, frame.table);
  if (box.listMark && isOfText(element)) return setWordMarker(walk, element, frame);
  switch (tagName) {
    case "br":
      return walk.flowOf(frame).addBreak(look, frame.paragraph);
    case "img":
      return addPicture(walk, own, frame);
    case "hr":
      return addDivider(walk, own, frame);
    case "input":
      return addInput(walk, own, frame);
    case "wbr":
    case "col":
    case "colgroup":
    case "area":
      return;
  }
  if (box.float && !frame.table) return openFloating(walk, own, frame);
  switch (box.display) {
    case "table":
      return openTable(walk, own, frame);
    case "row-group":
    case "row":
      if (frame.table && !frame.table.implied) return openTableRow(walk, own, frame, frame.table);
      return openBlock(walk, own, frame);
    case "cell":
      if (frame.table && !frame.table.implied) return openCell(walk, own, frame, frame.table);
      return openBeside(walk, own, frame);
    case "flex":
      return openBoxes(walk, own, frame);
  }
  if (frame.table?.implied) return openCell(walk, own, frame, frame.table);
  if (box.display === "inline-block" && isBox(own)) return openBeside(walk, own, frame);
  if (box.display === "inline" || box.display === "inline-block") return openInline(walk, own, frame);
  return openBlock(walk, own, frame);
}

/** The parts of a message, in reading order. Never throws. */
export function readParts(options: ReadPartsOptions): PartsReading {
  const { body } = options;
  const walk = new Walk(options);
  const { look, box } = walk.cascade.read(body, initialLook);
  const root = new OpenFlow();
  // The margins of a body are those of a message, and no part of what stands in it.
  walk.open({ element: body, look, box }, root, { own: false, room: null });
  for (let frame = walk.frames.at(-1); frame; frame = walk.frames.at(-1)) {
    const child = frame.children[frame.next++];
    if (child !== undefined) enter(walk, child, frame);
    else {
      walk.frames.pop();
      closeRow(walk, frame);
      frame.close?.();
    }
  }
  const parts = root.finish(false);
  walk.losses.loseLinks(body, parts);
  return { parts, pictures: walk.pictures, look };
}
