export { messagePage } from "./message-page";
export {
  base64,
  bytesEntity,
  headerValue,
  multipart,
  quotedPrintable,
  textEntity,
  writeEntity,
  type Entity,
} from "./mime";
