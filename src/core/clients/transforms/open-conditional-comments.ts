/**
 * Conditional comments as a document engine reads them: what its own condition holds for is markup, the rest is nothing.
 * The text is scanned once from left to right.
 */
import { wordTable } from "../../values";

/** The engine's own version, which conditions compare with. */
const engine = wordTable<number>({ mso: 16, vml: 1, ie: 0 });

const comparisons = wordTable<(there: number, asked: number) => boolean>({
  lt: (there, asked) => there < asked,
  lte: (there, asked) => there <= asked,
  gt: (there, asked) => there > asked,
  gte: (there, asked) => there >= asked,
});

/** Whether a condition holds: `mso`, `!mso`, `gte mso 9`, `(mso)|(gt vml 1)`. One that is not understood does not. */
export function conditionHolds(condition: string): boolean {
  const tokens = condition.toLowerCase().match(/[!&|()]|[a-z]+|[\d.]+/g) ?? [];
  let at = 0;
  const term = (depth: number): boolean => {
    if (tokens[at] === "!") {
      at += 1;
      return !term(depth);
    }
    if (tokens[at] === "(" && depth < 20) {
      at += 1;
      const inside = either(depth + 1);
      if (tokens[at] === ")") at += 1;
      return inside;
    }
    const compare = comparisons[tokens[at] ?? ""];
    if (compare) at += 1;
    const there = engine[tokens[at] ?? ""] ?? 0;
    at += 1;
    const asked = /^\d/.test(tokens[at] ?? "") ? Number(tokens[at++]) : null;
    if (there === 0) return false;
    if (asked === null) return true;
    return compare ? compare(there, asked) : Math.floor(there) === asked;
  };
  const both = (depth: number): boolean => {
    let holds = term(depth);
    while (tokens[at] === "&") {
      at += 1;
      holds = term(depth) && holds;
    }
    return holds;
  };
  const either = (depth: number): boolean => {
    let holds = both(depth);
    while (tokens[at] === "|") {
      at += 1;
      holds = both(depth) || holds;
    }
    return holds;
  };
  return either(0);
}

const opening = /<!(?:--)?\[if\s+([^\]]*)\](?:>\s*<!--\s*-->|>\s*<!-->|-->|>)/iy;
const closing = /(?:<!--\s*)?<!\[endif\](?:--)?>/iy;

export const hasConditionalComments = (html: string): boolean => /<!(--)?\[if\s/i.test(html);

/** The HTML with what the engine reads of its conditional comments, and without the rest of them. */
export function openConditionalComments(html: string): string {
  let opened = "";
  /** Whether what stands here is read, for each condition that is open. */
  const reading: boolean[] = [];
  for (let at = 0; at < html.length;) {
    const next = html.indexOf("<!", at);
    const end = next < 0 ? html.length : next;
    if (reading.every(Boolean)) opened += html.slice(at, end);
    if (next < 0) break;
    opening.lastIndex = closing.lastIndex = next;
    const begun = opening.exec(html);
    const ended = begun ? null : closing.exec(html);
    if (begun) reading.push(conditionHolds(begun[1] ?? ""));
    else if (ended) reading.pop();
    else if (reading.every(Boolean)) opened += "<!";
    at = next + (begun ?? ended ?? ["<!"])[0].length;
  }
  return opened;
}
