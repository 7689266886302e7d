export { blockElements } from "./block-elements";
export { copyTree } from "./copy";
export { placesIn } from "./places";
export {
  declarationText,
  lastValue,
  parseDeclarations,
  pxLength,
  withDeclaration,
  type Declaration,
} from "./declarations";
export {
  lengthOf,
  mapColors,
  paddingSide,
  readValue,
  type ValuePart,
  type ValueReading,
  type WrittenColor,
} from "./values";
export {
  append,
  appendText,
  attributeOf,
  createElement,
  createText,
  detach,
  insertBefore,
  isComment,
  isElement,
  isText,
  parseMessage,
  parsePage,
  prepend,
  removeAttribute,
  setAttribute,
  writeParts,
  type ChildNode,
  type Element,
  type Message,
  type ParentNode,
  type TextNode,
} from "./tree";
export { readDeclarationsAt, type PlacedDeclaration, type PlacedDeclarations } from "./declarations-at";
export {
  readTags,
  type Extent,
  type TagReading,
  type Written,
  type WrittenAttribute,
  type WrittenError,
  type WrittenTag,
} from "./tags";
export { elementsIn, nodesIn, visitNodes, walkElements, walkLeaves, type Visitor } from "./walk";
export {
  element,
  escapeAttribute,
  escapeText,
  px,
  sidesShorthand,
  toNumericReferences,
  type Attributes,
  type Declarations,
} from "./write";
