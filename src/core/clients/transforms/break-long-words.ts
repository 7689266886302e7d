/** Words that are longer than a kind leaves whole get places to break in. */
import { createElement, createText, detach, insertBefore, isText, walkLeaves } from "../../html";
import type { OwnMessage } from "../message";
import { longestWord } from "../stand-ins";

const long = new RegExp(`\\S{${longestWord + 1},}`, "u");

export function breakLongWords({ body, reportAt }: OwnMessage): void {
  walkLeaves(body, (node, parent) => {
    if (!isText(node) || node.value.length <= longestWord) return;
    const [found] = long.exec(node.value) ?? [];
    if (found === undefined) return;
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
