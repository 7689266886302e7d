export { longestPerson } from "./longest-person";
