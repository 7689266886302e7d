export { complaintsOf } from "./complaints";
export { heldAddresses, partAddress } from "./drawn-addresses";
export { addressOf, type AnyEndpoint, type Endpoint, type ParamsOf, type Query } from "./endpoint";
export { endpoints, publicBase, type CutRequest, type StartRequest } from "./endpoints";
export {
  givingShows,
  type GivingLook,
  type GivingShows,
  type ListedGiven,
  type PersonGiven,
  type TheirSignature,
  type WhoGetsWhat,
  type WrittenForms,
} from "./giving";
export type { AddedIcons, DrawnIcon, IconChoice, OwnIcon } from "./icons";
export type { ComparedInstall, Install, KitsMade, KitsWanted, KitsWhom } from "./installs";
export {
  letterBoxes,
  type Desk,
  type Draft,
  type HeldChange,
  type LetterAbout,
  type LetterBegun,
  type LetterBox,
  type LetterHead,
  type LetterPart,
  type Letters,
  type NewLetter,
  type OpenedLetter,
  type Rehearsal,
} from "./mailroom";
export { mailAddress, outgoingServer, type OutgoingServer } from "./outgoing";
export {
  letterWays,
  pageLetter,
  type Correction,
  type LettersWritten,
  type LetterState,
  type LetterWay,
  type OwnInstall,
  type OwnPage,
  type PageCounts,
  type PageLetter,
  type PersonWithPage,
} from "./pages";
export { deskPath, drawnFrom, firstFrame, letterPath, usualDesk } from "./paths";
export type {
  AddedFiles,
  AddressCheck,
  Catalogue,
  CatalogueCut,
  CatalogueEntry,
  Cut,
  CutPreview,
  ForeignPicture,
  KeptAnswer,
  LoopPreview,
  Original,
  Publication,
  PublicAddress,
  PublishedPicture,
  RefusedFile,
  Removal,
  Replacement,
  Unused,
} from "./pictures";
export {
  chosenColumns,
  mostChoices,
  withoutDepartment,
  type ChosenColumns,
  type FoundPeople,
  type PeopleLook,
  type PersonChoice,
  type PersonPortrait,
} from "./people";
export type { FailedFor, Progress } from "./progress";
export { magnification, measure, type KeptSighting, type ToldSighting } from "./sightings";
export { longestSearch, mostAtOnce, shelfOrders, type ShelfCard, type ShelfOrder } from "./shelf";
export {
  letterType,
  type DirectoryPerson,
  type LetterType,
  type OpenSignature,
  type Stillness,
  type Settled,
  type StaleSave,
  type Version,
  type WaitingVersion,
} from "./signatures";
