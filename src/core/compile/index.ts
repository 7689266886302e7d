export { compile, type CompileOptions } from "./compile";
export { destinationIds, destinations, type Destination } from "./destinations";
