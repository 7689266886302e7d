export { PlistAtom, PlistError, readBinaryPlist, type PlistValue } from "./read-plist";
export { writeBinaryPlist } from "./write-plist";
