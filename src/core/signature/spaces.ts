/**
 * Spaces as they are sent. HTML shows a run of them as one (CSS Text 3, section 4.1.1), so all but the last of a run
 * between words become spaces that stay, as do those that a line begins with. Those that it ends with are not seen.
 */
import type { Node } from "prosemirror-model";

const space = /[ \t\n\r\u00a0]/;
const kept = "\u00a0";

/** The same inline nodes, with their runs of spaces as they are sent. Tabs are spaces. */
export function keptSpaces(nodes: readonly Node[]): readonly Node[] {
  // From the end, since a space stays where another follows it.
  let followed = false;
  const backwards = [...nodes].reverse().map((node) => {
    if (!node.isText) {
      followed = false;
      return node;
    }
    let text = "";
    for (const character of [...(node.text ?? "")].reverse()) {
      const isSpace = space.test(character);
      text = (isSpace ? (followed || character === kept ? kept : " ") : character) + text;
      followed = isSpace;
    }
    return text === node.text ? node : node.type.schema.text(text, node.marks);
  });
  let begins = true;
  return backwards.reverse().map((node) => {
    if (!node.isText) {
      begins = node.type.name === "break";
      return node;
    }
    const text = node.text ?? "";
    const led = begins ? text.replace(/^ +/, (spaces) => kept.repeat(spaces.length)) : text;
    begins &&= led.trim() === "";
    return led === text ? node : node.type.schema.text(led, node.marks);
  });
}

/** Whether a line holds nothing but spaces and breaks, so that it is a gap as high as it looks. */
export const isBlank = (line: Node): boolean =>
  line.children.every(
    (child) =>
      child.type.name === "break" || (child.isText && [...(child.text ?? "")].every((c) => space.test(c))),
  );

interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * What of a line is not seen once it is sent: the spaces before a break or at its end, and the breaks at its end.
 * Stretches of one node each, counted from the start of the line's content; none in a blank line.
 */
export function unseenAtEnds(line: Node): readonly Stretch[] {
  if (isBlank(line)) return [];
  const found: Stretch[] = [];
  let to = line.content.size;
  let ending = true;
  let last = true;
  for (const child of [...line.children].reverse()) {
    const from = to - child.nodeSize;
    if (child.type.name === "break") {
      if (last) found.push({ from, to });
      ending = true;
    } else if (child.isText && ending) {
      const spaces = /[ \t]*$/.exec(child.text ?? "")?.[0].length ?? 0;
      if (spaces > 0) found.push({ from: to - spaces, to });
      ending = spaces === child.nodeSize;
      last &&= ending;
    } else ending = last = false;
    to = from;
  }
  return found;
}
