export { graftFiles, graftFragment, graftPictures, type Graft } from "./graft-kit";
export {
  carriedByItself,
  kitFiles,
  kitKinds,
  picturesOfKit,
  type KitFile,
  type KitKind,
  type KitSource,
  type PicturesIn,
} from "./kits";
export type { KitPicture, KitPictures } from "./place-pictures";
export { zipKit } from "./zip-kit";
