export { asItWas } from "./as-it-was";
export { declaredEncoding, encodingOf } from "./files/decode-text";
export { importDifference, type DrawnBox, type DrawnWords, type ImportDifference } from "./difference";
export {
  importHtml,
  importParts,
  readHtml,
  type Imported,
  type ImportedParts,
  type ImportOptions,
  type ImportReading,
} from "./import-html";
export {
  htmlOfText,
  ImportFileError,
  largestImport,
  readImportFile,
  type BroughtPicture,
  type FileReading,
} from "./files/read-file";
export {
  blockAttribute,
  chosenAttribute,
  findSignatures,
  withBlocksMarked,
  type FoundBy,
  type SignatureBlock,
} from "./find-signature";
export { offerFields, takeFields, whoseDetails, type FieldOffer } from "./person-fields";
export { findHosted } from "./import-html";
export type { FindPicture, FoundPicture, MentionedPicture, PictureKind } from "./reading/read-pictures";
export {
  groupNotes,
  type ImportCode,
  type ImportNote,
  type ImportOutcome,
  type NoteGroup,
  type ToldNote,
} from "./report";
export { pairChildren, type Worth } from "./pair-children";
export { markOfPart } from "./reading/residue";
export { withUnsaid } from "./unsaid";
