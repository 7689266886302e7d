export type { Change, ChangeCode } from "./changes";
export { drawnText } from "./dark-colors";
export { boxAttribute, designOf, partAttribute, wholeAttribute } from "./message";
export { facesFallingIn, faceSeen, fontSets, seenFaceRules, type FontTrial } from "./faces";
export { keepsFeature } from "./facts/keeps-feature";
export { messageArea } from "./message-area";
export { designGround, designPage, messagePage } from "./message-page";
export { designWidth, messageMargin } from "./message-room";
export { inColorsOf, partsOf, type Ground } from "./parts-of";
export { modes, proofKinds } from "./proof-kinds";
export { groupChanges, isSeen, type ChangeGroup } from "./group-changes";
export { notification } from "./notification";
export { picturesBlocked } from "./pictures-blocked";
export { readAloud, type Utterance } from "./read-aloud";
export { differsByAccount, limitsIn, type Account } from "./facts/limits";
export {
  messageOf,
  proofsFor,
  received,
  receivedInModes,
  signatureOverrun,
  type Message,
  type Proof,
  type ProofKey,
  type Received,
  type ReceiveOptions,
} from "./received";
export { rewriteLinks } from "./rewrite-links";
export type { DarkMode, Mode, StandIn, StandInId } from "./stand-in";
export { commonWebmail, standInIds, standIns } from "./stand-ins";
