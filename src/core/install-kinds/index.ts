export {
  type CodeContent,
  codeContents,
  type InstallForm,
  installForms,
  type InstallUse,
  installUses,
  isKitKind,
  type KitKind,
  kitKinds,
  picturePlaces,
  type PicturesIn,
} from "./kinds";
export { installSteps } from "./steps";
