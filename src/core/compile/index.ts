export { compile, type CompileOptions } from "./compile";
export { fileForms, fileNameOf, fileText, type FileForm } from "./files";
export { destinationIds, type Destination } from "./destinations";
