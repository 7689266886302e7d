/** What each part of a signature costs in characters of its HTML, with what is in it: characters as they are sent. */
import { nameOfPart, type ExplainedSource } from "./explain-source";

export interface SizedPlace {
  /** "row 1", "the icon “Harrow Fen on the web”". */
  readonly name: string;
  readonly position: number;
  readonly characters: number;
  readonly parts: readonly SizedPlace[];
}

/** How many characters are sent before each offset: line ends of the layout and what indents are not. */
function sentBefore(text: string): Uint32Array {
  const sent = new Uint32Array(text.length + 1);
  let count = 0;
  let indent = true;
  for (let at = 0; at < text.length; at++) {
    sent[at] = count;
    const letter = text[at];
    if (letter === "\n") indent = true;
    else if (!(indent && letter === " ")) {
      indent = false;
      count += 1;
    }
  }
  sent[text.length] = count;
  return sent;
}

/** The whole signature, and what is in it. */
export function sizeMap({ html, document, places, person }: Omit<ExplainedSource, "elements">): SizedPlace {
  const sent = sentBefore(html);
  const between = (from: number, to: number): number => (sent[to] ?? 0) - (sent[from] ?? 0);
  interface Growing extends SizedPlace {
    readonly parts: Growing[];
    readonly to: number;
  }
  const whole: Growing = {
    name: "the signature",
    position: 0,
    characters: between(0, html.length),
    parts: [],
    to: html.length,
  };
  const around: Growing[] = [whole];
  for (const { position, from, to } of [...places].sort(
    (one, other) => one.from - other.from || other.to - one.to,
  )) {
    if (position === 0) continue;
    while (around.length > 1 && (around.at(-1)?.to ?? 0) < to) around.pop();
    const place: Growing = {
      name: nameOfPart({ document, person }, position),
      position,
      characters: between(from, to),
      parts: [],
      to,
    };
    around.at(-1)?.parts.push(place);
    around.push(place);
  }
  return whole;
}
