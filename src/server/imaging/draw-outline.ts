/** The shapes of a cut as SVG, to be laid over or under its picture. Numbers are rendition px. */
import type { Outline, RingOutline, Size } from "@/core/pictures";

const drawing = ({ width, height }: Size, content: string): Buffer =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${content}</svg>`);

/** Stops of a fade that begins and ends without an edge: smoothstep, sampled. */
const fade = (from: number): string =>
  Array.from({ length: 9 }, (_, index) => {
    const part = index / 8;
    const opacity = 1 - part * part * (3 - 2 * part);
    return `<stop offset="${from + (1 - from) * part}" stop-color="#fff" stop-opacity="${opacity}"/>`;
  }).join("");

/** How a shape is painted: filled with a colour, or along its edge with a line of a width. */
const paint = (color: string, line: number | null): string =>
  line === null ? `fill="${color}"` : `fill="none" stroke="${color}" stroke-width="${line}"`;

function shape(outline: Outline, fill: string, line: number | null = null): string {
  if (outline.kind === "rectangle")
    return `<rect x="${outline.x}" y="${outline.y}" width="${outline.width}" height="${outline.height}" rx="${outline.radius}" ${paint(fill, line)}/>`;
  const { cx, cy, rx, ry, softness } = outline;
  const ellipse = `<ellipse cx="${cx}" cy="${cy}" rx="${rx}" ry="${ry}" ${paint(softness > 0 ? "url(#fade)" : fill, line)}/>`;
  return softness > 0
    ? `<radialGradient id="fade">${fade(1 - Math.min(1, softness))}</radialGradient>${ellipse}`
    : ellipse;
}

/** What the picture shows through, white on nothing. */
export const drawMask = (outline: Outline, size: Size): Buffer => drawing(size, shape(outline, "#fff"));

export const drawPlate = (plate: Outline & { color: string; line?: number | null }, size: Size): Buffer =>
  drawing(size, shape(plate, plate.color, plate.line ?? null));

export const drawRing = ({ cx, cy, radius, stroke, color }: RingOutline, size: Size): Buffer =>
  drawing(
    size,
    `<circle cx="${cx}" cy="${cy}" r="${radius}" fill="none" stroke="${color}" stroke-width="${stroke}"/>`,
  );
