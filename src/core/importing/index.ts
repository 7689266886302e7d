export { droppedInWords, whatIsDropped, type DropCode, type Dropped } from "./what-is-dropped";
