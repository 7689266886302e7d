/** A page of HTML in any encoding: what stands outside the replaced words stays, byte for byte. */
import { byteText } from "../byte-text";
import type { HostText } from "../host-file";

/** Null for what is not text, or holds no tag. */
export function pageHost(bytes: Uint8Array): HostText | null {
  const { text, encoding, edited } = byteText(bytes);
  if (text.includes("\0") || !/<[a-z!/?]/i.test(text)) return null;
  return {
    form: "page",
    html: text,
    encoding,
    holdsPictures: false,
    written: (edits) => edited(edits),
  };
}
