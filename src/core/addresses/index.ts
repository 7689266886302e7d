export {
  contentHash,
  endingOf,
  hostedPath,
  hostedPathsIn,
  isContentHash,
  isHosted,
  isHostedFileName,
  publicAddress,
  readHostedPath,
  readPicturePath,
  type HostedAddress,
} from "./hosted";
export { isPrivateAddress, isPrivateHost } from "./private-host";
export { pageAddress } from "./page-address";
