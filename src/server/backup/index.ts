/** What the command line needs to back up and restore; a bundle of its own, since it brings the database along. */
export { dataFolder } from "../configuration";
export { DataTrouble, troubleOf } from "../database/data-trouble";
export { storeIn } from "../store/store";
export { backUp } from "./back-up";
export { ArchiveError } from "./read-archive";
export { restore } from "./restore";
