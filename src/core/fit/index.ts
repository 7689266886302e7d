export { fitOf, type EmptyField, type Fit, type TightLine } from "./fit-of";
export { longestPerson } from "./longest-person";
export { trialPerson, type Trial } from "./trial-person";
