export {
  list,
  maybe,
  object,
  optional,
  tagged,
  type Fields,
  type FieldsOf,
  type ListValue,
  type ObjectValue,
  type OptionalValue,
  type TaggedValue,
} from "./composed-values";
export {
  choice,
  color,
  count,
  flag,
  milliseconds,
  nameOf,
  numberIn,
  px,
  ratio,
  text,
  within,
  words,
  type ChoiceValue,
  type NumberValue,
  type Range,
  type TextValue,
} from "./simple-values";
export { complain, complaintOf, describeValue, type Check, type TypeOf, type Value } from "./value";
export { smallestRead, textSize } from "./text-size";
export { bytesOf, lettersOf } from "./byte-letters";
export { joinBytes } from "./join-bytes";
export { append, largest, smallest } from "./extremes";
export { wordTable } from "./word-table";
export { wholeWordAt } from "./whole-words";
