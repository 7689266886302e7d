export { GraftError } from "./graft-error";
export { findWords, grafted, graftedHtml, onlyPlace, replacedBy, wholeLine, type GraftPlace } from "./graft";
export { readHost, type GraftedPicture, type HostFile, type HostForm } from "./host-file";
export { writtenLines, type WrittenLine } from "./written-lines";
