/** How the icons of a row are drawn: one style, one colour and one plate for all of them. */
import { plainRecipe, type Plate, type Recipe, type Rectangle } from "../pictures";
import { choice, color, object, optional, type TypeOf, px } from "../values";

/** Bare, as a line or solid; or on a plate of one of three shapes, filled or drawn as an outline. */
export const iconStyles = ["line", "solid", "circle", "rounded", "square", "outline"] as const;
export type IconStyle = (typeof iconStyles)[number];

export const iconStyleNames: Readonly<Record<IconStyle, string>> = {
  line: "Bare line",
  solid: "Solid",
  circle: "On a circle",
  rounded: "On a rounded plate",
  square: "On a square",
  outline: "In an outline",
};

/** How high the icons of a row are. */
export const iconSize = px(8, 96);

export const iconLook = object(
  {
    style: choice(...iconStyles),
    /** The colour of what is drawn; null keeps an icon's own colours. */
    color: optional(color),
    plate: color,
  },
  "a look",
);
export type IconLook = TypeOf<typeof iconLook>;

/** Whether glyphs are drawn as a line or filled; on plates the filled ones are too heavy. */
export const glyphWeight = ({ style }: Pick<IconLook, "style">): "line" | "solid" =>
  style === "solid" ? "solid" : "line";

export const hasPlate = ({ style }: Pick<IconLook, "style">): boolean =>
  style !== "line" && style !== "solid";

/** Whether a style lays a filled plate behind its icons; otherwise they stand on the canvas of the mail. */
const isFilled = (style: IconStyle): boolean =>
  style === "circle" || style === "rounded" || style === "square";

/**
 * A look in another style, so that its icons can still be seen: what leaves a filled plate takes on the plate's colour,
 * and what is put on one becomes white on its own. Icons that keep their own colours keep them.
 */
export function inStyle(look: IconLook, style: IconStyle): IconLook {
  if (look.color === null || isFilled(look.style) === isFilled(style)) return { ...look, style };
  return isFilled(style)
    ? { style, color: "#FFFFFF", plate: look.color }
    : { style, color: look.plate, plate: look.plate };
}

const inHalves = (value: number): number => Math.round(value * 2) / 2;

/** The plate behind an icon that is shown `size` px high; the icon itself takes a little more than half of it. */
function plateOf({ style, plate: color }: IconLook, size: number): Plate | null {
  const margin = inHalves(size * 0.22);
  const radius = inHalves(size * 0.2);
  switch (style) {
    case "circle":
      return { shape: "circle", color, margin, radius: 0, line: null };
    case "rounded":
      return { shape: "rounded", color, margin, radius, line: null };
    case "square":
      return { shape: "rectangle", color, margin, radius: 0, line: null };
    case "outline":
      return { shape: "circle", color, margin, radius: 0, line: Math.max(1, inHalves(size / 18)) };
    default:
      return null;
  }
}

/**
 * The recipe of an icon in a square of `size` CSS px: what is drawn in it, its box in px of the original, fills the
 * square or the middle of its plate, whatever margins the file has.
 */
export const iconRecipe = (box: Rectangle, look: IconLook, size: number): Recipe => ({
  ...plainRecipe(box, { width: size, height: size }),
  tint: look.color,
  plate: plateOf(look, size),
  use: "icon",
});
