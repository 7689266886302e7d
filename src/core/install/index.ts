export { codeContents, codeOf, type CodeContent } from "./code-of";
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
export { installForms, installUses, type InstallForm, type InstallUse } from "./record";
export { toLookAt, type LookedAtIn, type ToLookAt } from "./to-look-at";
export { whatChanged, type Told } from "./what-changed";
export { zipKit } from "./zip-kit";
