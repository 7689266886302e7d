import type { HostedType } from "@/core/pictures";

/** A picture in the address of itself (RFC 2397), for the application's own screens. */
export const dataAddress = (bytes: Uint8Array, type: HostedType): string =>
  `data:image/${type};base64,${Buffer.from(bytes).toString("base64")}`;
