export type { Change, ChangeCode } from "./changes";
export { lastValue, parseDeclarations, type Declaration } from "./declarations";
export { groupChanges, isSeen, type ChangeGroup } from "./group-changes";
export { attributeOf, isElement, parseParts, type ChildNode, type Element } from "./html-tree";
export { mirrorLightness } from "./mirror-lightness";
export { received, signatureOverrun, type Received, type ReceiveOptions } from "./received";
export { rewriteLinks } from "./rewrite-links";
export { standInIds, standIns, type StandIn, type StandInId } from "./stand-ins";
