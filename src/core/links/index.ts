export { isUsable, type AddressReport, type AddressVerdict, type FetchFailure } from "./address-report";
export { buildCalendar, calendarEvent, type CalendarEvent, type CalendarResult } from "./calendar";
export { campaign, withCampaign, type Campaign } from "./campaign";
export { contentLines, escapeValue } from "./content-lines";
export { compared, describeLink, sameDestination, type DescribedLink, type LinkKind } from "./describe-link";
export { detectLinks, type FoundLink } from "./detect";
export { fileTypeOf, publicFile, readHostedFile, type FileType } from "./hosted-file";
export { failedAnswer, judgeAnswer, type LinkAnswer, type LinkVerdict, type Response } from "./link-answer";
export { buildMail, isMailAddress, mailtoLink, parseMail, type MailParts } from "./mail";
export { buildMap, isMapPattern, parseMap, readPlace, type Place } from "./map";
export {
  networkAddress,
  networkKind,
  ownIconOf,
  readNetworkPage,
  splitNetworkAddress,
  type NetworkKind,
  type NetworkPage,
} from "./networks";
export {
  buildPhone,
  callingCodeOf,
  dialled,
  formatNumber,
  parsePhone,
  telLink,
  type NumberForm,
  type PhoneParts,
} from "./phone";
export { readLink, type LinkReading, type ReadLinkOptions } from "./read-link";
export { followingParameters, webLink, withoutFollowing, writtenAddress } from "./web";
