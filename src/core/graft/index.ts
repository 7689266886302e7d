export { GraftError } from "./graft-error";
export { findWords, grafted, graftedHtml, onlyPlace, wholeLine, type GraftPlace } from "./graft";
export { readHost, type GraftedPicture, type HostFile, type HostForm } from "./host-file";
export { lineAttribute, withLinesMarked, type WrittenLine } from "./written-lines";
