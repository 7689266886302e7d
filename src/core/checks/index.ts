export { asideKey, withAside, type Asides } from "./asides";
export { catalogue, findingCodes, type FindingCode } from "./catalogue";
export type { ColorsBySource } from "./check-dark-pictures";
export { namedAddress, type LinkAnswers } from "./check-links";
export {
  factsOfForeign,
  factsOfHosted,
  pixelsLacking,
  type PictureFacts,
  type PictureFactsBySource,
} from "./check-picture";
export { checkSignature, type CheckOptions } from "./check-signature";
export { gapsOf, type DirectoryGaps } from "./check-text";
export { costliestParts, type PartCost } from "./costliest-parts";
export type { Finding, Severity, Station } from "./finding";
export { applyMend, applyMends, hasPlace, type Mend, type Redraw } from "./mend";
export { openFindings } from "./open-findings";
export { weightOf } from "./weight-of";
export { suggestAlt, type AltContext } from "./suggest-alt";
export { proofReport, type ReportedProof } from "./proof-report";
