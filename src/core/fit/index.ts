export { designSizes } from "./design-sizes";
export { fitOf, personalWords, type EmptyField, type Fit, type TightLine } from "./fit-of";
export { longestPerson } from "./longest-person";
export { tightSays, worstFirst } from "./strain";
export { trialPerson, type Trial } from "./trial-person";
export { usualHeight } from "./usual-height";
export { stillFor, type StillFor } from "./still-for";
