export { fieldsShown } from "./fields-shown";
export { hrefOf, leadingKind } from "./href-of";
export { linksOf, type LinkUse, type PlacedLink } from "./links-of";
export { pictureSourcesOf, picturesOf, type PlacedPicture } from "./pictures-of";
export { placeOf, placeStep, wordsIn } from "./place";
export { backgroundAt, textColorsOf, type TextColor } from "./text-colors";
export {
  mixed,
  settingsIn,
  textLook,
  textLookIn,
  type Mixed,
  type SharedLook,
  type TextLook,
  type TextRange,
} from "./text-look";
export { eachShownBlock } from "./shown-blocks";
export { hasWords, textRunsIn, textRunsOf, type TextRun } from "./text-runs";
export { wordsOf } from "./words-of";
