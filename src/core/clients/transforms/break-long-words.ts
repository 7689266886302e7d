/** Words that are longer than a kind leaves whole get places to break in. */
import { createElement, createText, detach, insertBefore, isText, walkLeaves } from "../../html";
import type { OwnMessage } from "../message";
import { longestWord } from "../stand-ins";

const long = new RegExp(`\\S{${longestWord + 1},}`, "u");

/** The first word of a text that is broken; null where none is. */
export const longWordIn = (text: string): string | null =>
  text.length <= longestWord ? null : (long.exec(text)?.[0] ?? null);

export function breakLongWords({ body, reportAt, has }: OwnMessage): void {
  if (!has.longWords()) return;
  walkLeaves(body, (node, parent) => {
    const found = isText(node) ? longWordIn(node.value) : null;
    if (!isText(node) || found === null) return;
    if ("tagName" in parent)
      reportAt(parent)("word-broken", found.slice(0, 40), `words are broken every ${longestWord} characters`);
    for (const word of node.value.split(/(\s+)/)) {
      const characters = Array.from(word);
      for (let from = 0; from < characters.length; from += longestWord) {
        if (from > 0) insertBefore(parent, createElement("wbr", {}), node);
        insertBefore(parent, createText(characters.slice(from, from + longestWord).join("")), node);
      }
    }
    detach(node);
  });
}
