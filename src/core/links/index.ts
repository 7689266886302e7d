export { mailtoLink, telLink, webLink } from "./build";
export { detectLinks, type FoundLink } from "./detect";
export { readLink, type LinkReading } from "./normalise";
export { isUsable, type AddressReport, type AddressVerdict, type FetchFailure } from "./address-report";
