export { contrast, darkCanvas, lightCanvas, readableContrast } from "./contrast";
export { colorDifference, distanceFrom } from "./difference";
export { channelsOf, hexOf, isHex, readHex, type Channels } from "./hex";
export { lightnessOf, mirrored, mirrorLightness } from "./mirror-lightness";
export { parseColor } from "./parse-color";
export { nearestColor } from "./readable";
export { toHex } from "./to-hex";
