/** A colour behind text. */
import { lightCanvas, toHex } from "../../color";
import { color } from "../../values";
import { describeAttributes, needed } from "../description";
import { markKind } from "../kind";

export const highlight = describeAttributes(["highlight"], { color: needed(color) });

/** What `mark` is drawn in where nothing else is said (WHATWG HTML 15.3.4). */
const marker = "#FFFF00";

const colorBehind = (element: HTMLElement, otherwise: string | null): { color: string } | false => {
  const hex = toHex(element.style.backgroundColor) ?? otherwise;
  // What is copied from a page brings the page's white along, which marks nothing.
  return hex !== null && hex !== lightCanvas && { color: hex };
};

export const highlightKind = markKind({
  name: "highlight",
  attributes: highlight.attributes,
  // By element and not by style: the background of a cell is the cell's own.
  parse: [
    { tag: "mark", getAttrs: (element) => colorBehind(element, marker) },
    { tag: "span[style*=background]", consuming: false, getAttrs: (element) => colorBehind(element, null) },
  ],
  draw: (mark) => ["span", { style: `background-color:${highlight.of(mark).color}` }, 0],
});
