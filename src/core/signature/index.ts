export { build, style, type CellPlan } from "./builder";
export { mostParts, outgrown } from "./bounds";
export { blankSignature } from "./create";
export {
  attributesIn,
  type Attribute,
  type Attributes,
  type AttributesOf,
  type Description,
} from "./description";
export { drawnFontRules, faceRules, packageOfFontFile } from "./drawn-fonts";
export { duplicatePart, insertParts, insertRowAcross, mayHold, movePart, removePart } from "./edits/blocks";
export { commonBorder, rectangleOf, setBorders, type BorderTarget } from "./edits/borders";
export { becomeDocument } from "./edits/become";
export { setPadding } from "./edits/cells";
export { evenColumns, moveColumnBorder, narrowestColumn, setColumnWidth } from "./edits/columns";
export { setDirection } from "./edits/direction";
export { duplicateIcon, moveIcon, removeIcon } from "./edits/icons";
export { ownLinkLooks, setAllLinkLooks, setLinkLook, type LinkLookPatch } from "./edits/link-looks";
export { deleteBands, insertBand, mergeCells, moveBand, rearrangeTable, splitCell } from "./edits/rearrange";
export { replaceSources, showInstead } from "./edits/replace-sources";
export { recolorText } from "./edits/recolor";
export { setAttributes, setSettings } from "./edits/set-attributes";
export { refontText, resizeText } from "./edits/type";
export { clearStyling, ownLooks, setUnderline, takeOffOwn, type OwnLook } from "./edits/text-look";
export { fontStack, spaceWidth, webSafeFont, webSafeFonts, type DrawnFace, type WebSafeFont } from "./fonts";
export { isLeftOut, part, type BlockKind, type InlineKind, type MarkKind, type NodeKind } from "./kind";
export { button } from "./kinds/button";
export { cell, type CellAttributes } from "./kinds/cell-attributes";
export { divider } from "./kinds/divider";
export { drawnInRow, iconRow } from "./kinds/icon-row";
export { isEmptyCell } from "./kinds/cell";
export { hasPartsForSome, hiddenFrom, isForSome, isHiddenFrom } from "./shown-for";
export { shownTo } from "./shown-to";
export {
  hasOwnPictures,
  isOwnPicture,
  pictureKey,
  pictureToMake,
  picturesLacking,
  placeWithPicture,
  picturesToMake,
  withPicturesOf,
  type Initials,
  type OwnPicture,
  type PictureToMake,
} from "./pictures-of-person";
export { heightOf, line } from "./kinds/line";
export { fieldText, personField, type PersonFieldAttributes } from "./kinds/person-field";
export { image, picture, substitute, type PictureAttributes, type Substitute } from "./kinds/picture";
export { row } from "./kinds/row";
export { separator } from "./kinds/separator";
export { spacer } from "./kinds/spacer";
export { font } from "./marks/font";
export { letterSpacing } from "./marks/letter-spacing";
export { link, type LinkAttributes } from "./marks/link";
export { scriptScale, subscript, superscript } from "./marks/script";
export { size } from "./marks/size";
export { alignChildren } from "./merge/align";
export { mergeSignatures, type Merged } from "./merge/merge";
export { nodeAt, outerTable } from "./outer-table";
export { disclaimer, readyLines, type ReadyLine } from "./parts/ready-lines";
export { starterPatterns, type StarterPattern } from "./patterns/starter-patterns";
export {
  backgroundAt,
  eachShownBlock,
  hasWords,
  fieldsShown,
  hrefOf,
  leadingKind,
  linksOf,
  mixed,
  pictureSourcesOf,
  picturesOf,
  placeOf,
  placeStep,
  settingsIn,
  textLook,
  textColorsOf,
  textRunsIn,
  textRunsOf,
  wordsOf,
  textLookIn,
  wordsIn,
  type LinkUse,
  type Mixed,
  type PlacedLink,
  type PlacedPicture,
  type SharedLook,
  type TextColor,
  type TextLook,
  type TextRange,
  type TextRun,
} from "./queries";
export { gapsIn } from "./gaps";
export { markKinds, nodeKinds, schema } from "./schema";
export { settingsOf, signatureSettings, type Settings } from "./settings";
export { hasShortForm, shortForm } from "./short-form";
export type { Axis, Rectangle } from "./table-layout";
export {
  boxWidth,
  innerWidth,
  placeAtOffset,
  placeWidth,
  setsWidth,
  tableMap,
  type CellPlace,
  type TableMap,
  type TableProblem,
} from "./table-map";
export { keptSpaces, unseenAtEnds } from "./spaces";
export { strutOf, type Strut } from "./strut";
export {
  parseSignature,
  readSignature,
  SignatureError,
  type DocumentProblem,
  type SignatureResult,
} from "./validate";
export {
  border,
  borderStyle,
  bySide,
  languageTag,
  linkTarget,
  noSides,
  pictureSource,
  sideNames,
  widest,
  widestColumn,
  type Border,
  type SideName,
  type Sides,
} from "./values";
export type { DestinationId, Writing } from "./writing";
