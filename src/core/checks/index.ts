export { namedAddress, type LinkAnswers } from "./check-links";
export { factsOfForeign, factsOfHosted, type PictureFacts, type PictureFactsBySource } from "./check-picture";
export { checkSignature, weightOf, type CheckOptions } from "./check-signature";
export { costliestParts, type PartCost } from "./costliest-parts";
export type { Finding, FindingCode, Severity, Station } from "./finding";
export { contrast, darkCanvas, lightCanvas, readableContrast } from "./contrast";
export { applyMend, type Mend } from "./mend";
export { isPrivateHost } from "./private-host";
export { suggestAlt, type AltContext } from "./suggest-alt";
