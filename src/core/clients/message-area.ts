/** How a kind of client draws its message area before a message says anything of itself, as a style sheet. */
import { breaksAnyWord } from "./facts/declaration-limits";
import { limitsIn } from "./facts/limits";
import type { Mode, StandIn } from "./stand-in";

/** Kinds that let any long word break, whatever a message says. */
export const breaksWords = ({ id }: StandIn): boolean =>
  limitsIn(id, "own").some(({ says }) => breaksAnyWord.has(says));

/** Rules for the page that a message is drawn in: its canvas, type, colours and the breaking of words. */
export function messageArea(standIn: StandIn, mode: Mode): string {
  const { canvas, text, type, linkColor } = standIn;
  const wrap = breaksWords(standIn) ? "overflow-wrap:break-word;" : "";
  return (
    `html{background:${canvas[mode]}}` +
    `body{${wrap}color:${text[mode]};font-family:${type.family};font-size:${type.size}px}` +
    `a{color:${linkColor[mode]}}`
  );
}
