export {
  clientForKind,
  deskClientIds,
  deskClients,
  isDeskClient,
  type DeskClient,
  type DeskClientId,
  type Holding,
} from "./desk-clients";
export {
  choicesFor,
  deskSettings,
  freeName,
  type DeskSettings,
  type DeskSignature,
  type HeldSignature,
  type SignatureChoice,
} from "./desk-settings";
export { ownAddresses } from "./own-addresses";
export { rehearsed, type Happening, type RehearsedStep, type RehearsedTask } from "./rehearsal";
