export { bestOfEach, iconName, shownName, type IconFile } from "./best-of-each";
export { contentBox } from "./content-box";
export { glyphList, type GlyphPlan } from "./glyph-list";
export { mayBeIcon } from "./may-be-icon";
export { glyphDrawing, glyphLabel, glyphSvg, isGlyph } from "./glyphs";
export {
  glyphWeight,
  hasPlate,
  iconLook,
  iconSize,
  iconRecipe,
  iconStyleNames,
  iconStyles,
  inStyle,
  type IconLook,
  type IconStyle,
} from "./icon-look";
