export { codePng, codeSvg, largestCode, mostInCode, smallestCode } from "./qr";
