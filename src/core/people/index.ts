export {
  emptyPerson,
  fieldId,
  fieldKind,
  fieldKinds,
  fieldLabel,
  fieldLink,
  fieldNames,
  fieldsOf,
  fieldValue,
  isPictureField,
  pictureField,
  ownField,
  ownFieldName,
  ownFieldOf,
  typedValue,
  wordField,
  wordFieldNames,
  wordFields,
  type FieldId,
  type FieldKind,
  type FieldName,
  type OwnField,
  type Person,
} from "./fields";
export {
  becauseOf,
  doubled,
  giving,
  mostNamed,
  purposes,
  signaturesOf,
  troubleOf,
  type Audience,
  type Because,
  type GivenSignature,
  type Giving,
  type GivingTrouble,
  type Purpose,
} from "./audience";
export { condition, meets, type Condition, type ConditionTest } from "./condition";
export { matchPhotos, type MatchedPhoto } from "./match-photos";
export { initialsOf } from "./initials";
export { fillLetter, letterPlaces, pagePlace, unknownPlaces } from "./fill-letter";
export { readPictureDetail, writePictureDetail, type PictureDetail } from "./picture-detail";
export { complaintAbout, longestField, readPerson } from "./read-person";
export { drawnPerson, phoneForm, typedPhones, type PhoneForm } from "./phone-form";
export { buildCard } from "./cards/build-card";
export { buildWholeCard } from "./cards/build-card";
export { readCards, type ReadCards } from "./cards/read-cards";
export {
  changePerson,
  details,
  filledDetails,
  inverse,
  mostPeople,
  personChanges,
  staleFields,
  type Details,
  type PersonChange,
} from "./change-person";
export { columnKey, isNamePart, nameParts, targetLabel, type ColumnTarget } from "./sheet/match-columns";
export { changesOf, type ImportPlan, type KnownPerson, type ListedPerson } from "./sheet/plan-import";
export { readSheet, type BrokenLine, type Delimiter, type Sheet, type SheetRow } from "./sheet/read-sheet";
export { encodings, type ListEncoding } from "./sheet/decode-list";
export {
  readList,
  type ListReading,
  type ListedPhoto,
  type ListRequest,
  type ReadList,
  type ReadTable,
} from "./sheet/read-list";
export { writeSheet } from "./sheet/write-sheet";
