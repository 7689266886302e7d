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
