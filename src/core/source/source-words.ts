/**
 * What attributes and properties of HTML are in a signature, for people who do not read HTML. `{it}` is the part that they
 * are about: "the name", "row 2", "the icon “Harrow Fen on the web”".
 */
import { wordTable } from "../values";

/** Attributes of any element. */
export const attributeWords = wordTable<string>({
  href: "where {it} leads",
  src: "the address of the picture that {it} shows",
  alt: "what is read aloud, or shown, where {it} is not shown",
  title: "what shows when one points at {it}",
  width: "how wide {it} is, for clients that read no styles; px",
  height: "how high {it} is, for clients that read no styles; px",
  align: "how {it} is aligned",
  valign: "where what is in {it} stands: at its top, in its middle or at its bottom",
  bgcolor: "the colour behind {it}",
  color: "the colour of {it}",
  face: "the font of {it}",
  colspan: "how many columns {it} covers",
  rowspan: "how many rows {it} covers",
  border: "says that {it} has no border but those of its cells",
  cellpadding: "says that cells of {it} have no room but their own padding",
  cellspacing: "says that the cells of {it} touch",
  role: "tells screen readers that {it} is there for layout only",
  lang: "the language of {it}",
  dir: "the direction in which {it} is written",
  style: "how {it} looks",
});

/** Properties in a style. */
export const propertyWords = wordTable<string>({
  color: "the colour of {it}",
  "background-color": "the colour behind {it}",
  background: "what is drawn behind {it}",
  "font-family": "the font of {it}; the next one is taken where a font is missing",
  "font-size": "the size of {it}",
  "font-weight": "how bold {it} is",
  "font-style": "whether {it} is italic",
  font: "the font, size and weight of {it}",
  "line-height": "how high each line of {it} is",
  "letter-spacing": "the room between the letters of {it}",
  "text-decoration": "whether {it} is underlined or struck through",
  "text-transform": "the capitals of {it}",
  "text-align": "how {it} is aligned",
  "vertical-align": "where {it} stands upon its line, or in its row",
  "white-space": "where {it} may break into lines",
  width: "how wide {it} is",
  height: "how high {it} is",
  "max-width": "the most that {it} is wide",
  padding: "the room inside {it}: top, right, bottom, left",
  "padding-top": "the room inside {it}, at the top",
  "padding-right": "the room inside {it}, at the right",
  "padding-bottom": "the room inside {it}, at the bottom",
  "padding-left": "the room inside {it}, at the left",
  margin: "the room around {it}, which some clients drop",
  border: "the border around {it}",
  "border-top": "the border at the top of {it}",
  "border-right": "the border at the right of {it}",
  "border-bottom": "the border at the bottom of {it}",
  "border-left": "the border at the left of {it}",
  "border-radius": "how round the corners of {it} are",
  "border-collapse": "lets borders of neighbouring cells of {it} stand as one",
  "box-sizing": "counts padding and borders within the width of {it}",
  display: "has {it} stand by itself, without a gap below",
  "table-layout": "has the columns of {it} as wide as they say",
});

/** Elements that say how text looks, for those that stand in a line. */
export const elementWords = wordTable<string>({
  a: "a link on {it}",
  b: "{it}, bold",
  strong: "{it}, bold",
  i: "{it}, italic",
  em: "{it}, italic",
  u: "{it}, underlined",
  s: "{it}, struck through",
  sup: "{it}, raised",
  sub: "{it}, lowered",
  span: "the look of {it}",
  font: "the look of {it}",
  br: "a break within a line",
  tbody: "the rows of {it}",
});
