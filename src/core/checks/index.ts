export { factsOfForeign, factsOfHosted, type PictureFacts, type PictureFactsBySource } from "./check-picture";
export { checkSignature, isPrivateHost, weightOf, type CheckOptions } from "./check-signature";
export { costliestParts, type PartCost } from "./costliest-parts";
export type { Finding, FindingCode, Severity, Station } from "./finding";
export { contrast, darkCanvas, lightCanvas, readableContrast } from "./contrast";
