export { build, style, type CellPlan } from "./builder";
export { blankSignature } from "./create";
export { duplicatePart, insertParts, insertRowAcross, mayHold, movePart, removePart } from "./edits/blocks";
export { evenColumns, moveColumnBorder, narrowestColumn, setColumnWidth } from "./edits/columns";
export { commonLine, rectangleOf, setLines, type LineTarget } from "./edits/lines";
export { deleteBands, insertBand, mergeCells, moveBand, rearrangeTable, splitCell } from "./edits/rearrange";
export { hasShortForm, shortForm } from "./short-form";
export type { Axis, Rectangle } from "./table-layout";
export { lineBetween, setBorder, setPadding } from "./edits/cells";
export { duplicateIcon, moveIcon, removeIcon } from "./edits/icons";
export { replaceSources } from "./edits/replace-sources";
export { setAttributes, setSettings } from "./edits/set-attributes";
export { drawnFontFiles, drawnFontRules } from "./drawn-fonts";
export { fontStack, spaceWidth, webSafeFont, webSafeFonts, type WebSafeFont } from "./fonts";
export { cellAttributes, isEmptyCell, type CellAttributes } from "./kinds/cell";
export { lineHeightPx } from "./kinds/line";
export type { PersonFieldAttributes } from "./kinds/person-field";
export type { PictureAttributes } from "./kinds/picture";
export { defaultSettings, type Settings } from "./kinds/signature";
export type { BlockKind, InlineKind, MarkKind, NodeKind } from "./kind";
export { placeOf, placeStep, wordsIn } from "./place";
export { hrefOf } from "./href-of";
export { linksOf, type LinkUse, type PlacedLink } from "./links-of";
export { setAllLinkLooks, setLinkLook, type LinkLookPatch } from "./edits/link-looks";
export type { LinkAttributes } from "./marks/link";
export { picturesOf, type PlacedPicture } from "./queries";
export { markKinds, nodeKinds, schema } from "./schema";
export { innerWidth, lineOn } from "./lines";
export {
  cellAt,
  placeAtOffset,
  placeWidth,
  tableMap,
  type CellPlace,
  type TableMap,
  type TableProblem,
} from "./table-map";
export {
  parseSignature,
  readSignature,
  SignatureError,
  type DocumentProblem,
  type SignatureResult,
} from "./validate";
export { hexColor, linkTarget, noSides, sideNames, type Border, type SideName, type Sides } from "./values";
export type { DestinationId, Writing } from "./writing";
export { toNumericReferences, escapeAttribute, escapeText } from "./html";
export { starterPatterns, type StarterPattern } from "./patterns/starter-patterns";
export { disclaimer, readyLines, signOff, type ReadyLine } from "./parts/ready-lines";
