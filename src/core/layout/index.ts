export { longestPerson } from "./longest-person";
export {
  driftBetween,
  isStill,
  stillBounds,
  stillDefinition,
  unrest,
  unstillReason,
  type DrawnPart,
  type PartDrift,
  type UnstillReason,
} from "./drift";
