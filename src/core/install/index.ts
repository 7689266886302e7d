export { codeOf } from "./code-of";
export { graftFiles, graftFragment, graftPictures, type Graft } from "./graft-kit";
export {
  carriedByItself,
  kitFiles,
  kitLetter,
  picturesOfKit,
  usualPlace,
  type KitFile,
  type KitSource,
} from "./kits";
export { foldersFor, kitOfPerson, kitsForPeople, type PersonKit } from "./kits-for-people";
export type { KitPicture, KitPictures } from "./place-pictures";
export { toLookAt, type ToLookAt } from "./to-look-at";
export { whatChanged, type Told } from "./what-changed";
export { zipKit } from "./zip-kit";
