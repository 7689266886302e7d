export type { Change, ChangeCode } from "./changes";
export { groupChanges, isSeen, type ChangeGroup } from "./group-changes";
export { picturesBlocked } from "./pictures-blocked";
export { readAloud, type Utterance } from "./read-aloud";
export {
  received,
  receivedByEach,
  signatureOverrun,
  type Proof,
  type Received,
  type ReceiveOptions,
} from "./received";
export { rewriteLinks } from "./rewrite-links";
export type { DarkMode, Mode, StandIn, StandInId } from "./stand-in";
export { commonWebmail, standInIds, standIns } from "./stand-ins";
