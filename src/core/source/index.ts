export { checkSource, lineAndColumn, type SourceTrouble } from "./check-source";
export {
  editElement,
  wholeElement,
  type ElementEdit,
  type ElementEditName,
  type TextChange,
} from "./element-edits";
export {
  colorsIn,
  explainSource,
  nameOfPart,
  type ExplainedSource,
  type Explanation,
  type Seen,
  type SourceColor,
} from "./explain-source";
export { findInSource, mostMatches, type FindOptions, type Match } from "./find-in-source";
export { formatSource } from "./format-source";
export {
  openSource,
  placeAtOffset,
  placeAtPosition,
  readSource,
  type OpenedSource,
  type SourceNote,
  type SourcePlace,
  type SourceReading,
} from "./open-source";
export { sizeMap, type SizedPlace } from "./size-map";
export { sourceElements, type SourceElement } from "./source-tree";
