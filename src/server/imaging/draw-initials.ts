/** Somebody's initials as a picture that is cut like a photograph: letters in the middle of a ground, or a plain figure. */
import type { Initials } from "@/core/signature";
import { Refusal } from "../http/refusal";
import { layText } from "./reveal-text";

/** The side of the drawing, in px. */
export const initialsSide = 400;

/** Of the side: how large the type is for one letter, and for two. */
const sizes = { one: 0.5, two: 0.4 } as const;

/** Of the size of the type: where the middle of its capitals stands below the top of a line. */
const middle = 0.62;

/** The letters as SVG, in the middle of the drawing. */
function lettersOf({ letters, color, font }: Initials): string {
  const size = Math.round(initialsSide * ([...letters].length > 1 ? sizes.two : sizes.one));
  const laid = layText({ words: letters, font, size, bold: false, color, background: null });
  const [left, top] = [(initialsSide - laid.width) / 2, initialsSide / 2 - size * middle];
  return `<g transform="translate(${left.toFixed(2)} ${top.toFixed(2)})">${laid.draw(1, 1).toString("utf8")}</g>`;
}

/** A head and shoulders, for names whose letters no face has. */
const figure = (color: string): string =>
  `<g fill="${color}"><circle cx="200" cy="152" r="66"/><path d="M72 400C72 296 128 246 200 246S328 296 328 400Z"/></g>`;

function marksOf(initials: Initials): string {
  if (initials.letters === "") return figure(initials.color);
  try {
    return lettersOf(initials);
  } catch (error) {
    if (error instanceof Refusal) return figure(initials.color);
    throw error;
  }
}

export const drawInitials = (initials: Initials): Buffer =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${initialsSide}" height="${initialsSide}" viewBox="0 0 ${initialsSide} ${initialsSide}"><rect width="${initialsSide}" height="${initialsSide}" fill="${initials.ground}"/>${marksOf(initials)}</svg>`,
  );
