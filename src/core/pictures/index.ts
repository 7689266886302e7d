export { budgets, signatureBudget, pictureUse, type BudgetKind } from "./budgets";
export { backgroundColor, clearBackground } from "./clear-background";
export { findHead } from "./find-head";
export { carryFocus, clampFocus, cropOfFocus, focusValue, nudgeFocus, type Focus } from "./focus";
export { carryCrop, clampCrop, cropToAspect, largestCrop, moveCrop, sizeCrop, type Aspect } from "./crop";
export {
  changeRecipe,
  clearValue,
  displaySide,
  largestDisplay,
  plateValue,
  recipeValue,
  wholeRecipe,
  displaySize,
  firstDisplaySize,
  leavesTransparent,
  plainRecipe,
  resizeRecipe,
  wholeCrop,
  type ClearedBackground,
  type Density,
  type Format,
  type Frame,
  type Plate,
  type Recipe,
  type Rectangle,
  type Ring,
  type Size,
  type Use,
  formatValue,
  frameValue,
  ringValue,
} from "./cut";
export {
  isPictureColors,
  leastVisibility,
  pictureColors,
  visibilityOn,
  type PictureColors,
} from "./visibility";
export { extractPalette } from "./extract-palette";
export { keptApart, publicFileName, type HostedType } from "./file-name";
export {
  cutGeometry,
  pixelsNeeded,
  renditionScale,
  renditionSize,
  type CutGeometry,
  type Outline,
  type RingOutline,
} from "./frame-geometry";
export {
  largestArchive,
  largestFile,
  longestSide,
  mostFramePixels,
  mostFrames,
  mostInArchive,
  mostPixels,
} from "./limits";
export {
  beginAt,
  frameTimeValue,
  loopFields,
  loopSourceValue,
  loopValue,
  changeSpeed,
  firstFrames,
  firstLoop,
  frameTime,
  halveFrames,
  lighterLoops,
  loopProportions,
  moveFrame,
  originalsOfLoop,
  pictureCount,
  removeFrame,
  resizeLoop,
  roundTime,
  setFrameTime,
  thereAndBack,
  wordsOf,
  type LighterLoop,
  type LoopFrame,
  type LoopRecipe,
  type LoopSource,
  type RevealedText,
  revealedText,
} from "./loop";
export {
  changeLooks,
  framesKept,
  isPicturesLoop,
  looksOf,
  loopPixelsNeeded,
  type PicturesLoop,
} from "./loop-looks";
export { isAnimatedPng } from "./animated-png";
export { looksTheSame, measureDifference, type Difference } from "./measure-difference";
export { byteAt, colorAt, hasTransparency, type Pixels } from "./pixels";
export { countColors, quantize } from "./quantize";
export { originalTypes, sniffType, typeRefusal, type OriginalType, type SniffedType } from "./sniff";
export { svgTrouble, type SvgTrouble } from "./svg-troubles";
export { tintPixels } from "./tint";
export { darkLookValue, recipeInLook, type DarkLook } from "./dark-look";
export { withDensity } from "./density";
