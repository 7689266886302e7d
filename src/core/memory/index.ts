export { remember } from "./remember";
