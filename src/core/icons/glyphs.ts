/** The drawn glyphs as SVG. */
import { glyphList } from "./glyph-list";
import { drawings } from "./drawings";

interface Drawing {
  readonly viewBox: string;
  readonly content: string;
}

export const isGlyph = (name: string): boolean => Object.hasOwn(drawings, name);

export const glyphLabel = (name: string): string =>
  glyphList.find((glyph) => glyph.name === name)?.label ?? name;

/** A glyph's view box and the elements in it, for drawing it on the screen. Throws a RangeError for an unknown one. */
export function glyphDrawing(name: string, weight: "line" | "solid"): Drawing {
  if (!isGlyph(name)) throw new RangeError(`There is no glyph “${name}”`);
  return drawings[name]![weight];
}

/** A glyph as an SVG file in black on nothing, trimmed to what is drawn. Throws a RangeError for an unknown one. */
export function glyphSvg(name: string, weight: "line" | "solid"): string {
  const { viewBox, content } = glyphDrawing(name, weight);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="256" height="256" viewBox="${viewBox}">${content}</svg>`;
}
