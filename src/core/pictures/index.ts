export { hostedPath, readHostedPath, type HostedAddress } from "./address";
export {
  clampCrop,
  displaySize,
  firstDisplaySize,
  needsTransparency,
  renditionSize,
  wholeCrop,
  type Frame,
  type Recipe,
  type Rectangle,
  type Ring,
  type Size,
} from "./cut";
export { publicFileName } from "./file-name";
export { largestFile, longestSide, mostPixels, signatureBudget } from "./limits";
export { sniffType, typeRefusal, type SniffedType } from "./sniff";
export { extractPalette } from "./extract-palette";
