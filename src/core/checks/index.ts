export { namedAddress, type LinkAnswers } from "./check-links";
export {
  factsOfForeign,
  factsOfHosted,
  pixelsLacking,
  type PictureFacts,
  type PictureFactsBySource,
} from "./check-picture";
export { checkSignature, type CheckOptions } from "./check-signature";
export { costliestParts, type PartCost } from "./costliest-parts";
export type { Finding, FindingCode, Severity, Station } from "./finding";
export { applyMend, applyMends, type Mend } from "./mend";
export { weightOf } from "./weight-of";
export { suggestAlt, type AltContext } from "./suggest-alt";
