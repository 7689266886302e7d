export {
  answerRecipients,
  answerSubject,
  forwardSubject,
  handedOn,
  quotedIn,
  referencesOf,
  type AnsweredLetter,
  type MailAddress,
  type Recipients,
} from "./answers";
export {
  asSent,
  letterStart,
  quoteMark,
  signatureBlock,
  signatureMark,
  type LetterStart,
} from "./letter-body";
export {
  archivePictures,
  closed,
  emptyArchive,
  opened,
  readArchive,
  type Closing,
  type DeskArchive,
} from "./signature-archives";
export {
  filesOfSignature,
  readFolder,
  renamedPage,
  type DeskFile,
  type SignatureFolder,
} from "./signature-folder";
export { whatIsLeft, type Kept, type Left } from "./what-is-left";
export { destinationsIn } from "./destinations";
