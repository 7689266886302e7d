export { compile, type CompileOptions } from "./compile";
export { fileForms, fileText, type FileForm } from "./files";
export { destinationIds, type Destination } from "./destinations";
