export { messagePage } from "./message-page";
export {
  base64,
  bytesEntity,
  bytesOfBase64,
  bytesOfQuotedPrintable,
  headerValue,
  multipart,
  quotedPrintable,
  quotedPrintableBytes,
  textEntity,
  writeEntity,
  type Entity,
} from "./mime";
