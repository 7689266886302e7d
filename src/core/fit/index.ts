export { lineWidths, type LineWidth } from "./line-widths";
export { longestPerson } from "./longest-person";
export { trialPerson, type Trial } from "./trial-person";
