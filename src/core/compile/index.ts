export { compile, type CompileOptions } from "./compile";
export { destinationIds, type Destination } from "./destinations";
