/**
 * The public address of what is hosted here, a picture or a file that links lead to: `/h/<content hash>/<file name>`,
 * under the public address of the installation.
 */
import { complain, describeValue, type Value } from "../values";

export interface HostedAddress {
  readonly hash: string;
  readonly fileName: string;
}

const hash = "[0-9a-f]{20}";
const fileName = String.raw`[a-z0-9-]{1,60}\.[a-z0-9]{2,4}`;
const whole = new RegExp(`^/h/(${hash})/(${fileName})$`);
const anywhere = new RegExp(`/h/${hash}/${fileName}`, "g");
const hashOnly = new RegExp(`^${hash}$`);
const nameOnly = new RegExp(`^${fileName}$`);

/** The first 20 hex digits of the SHA-256 of some bytes. */
export const isContentHash = (text: string): boolean => hashOnly.test(text);

/** A content hash as a value; `what` is what it is the hash of, with its article. */
export const contentHash = (what: string): Value<string> =>
  describeValue<string, "hash">("hash", (value) =>
    typeof value === "string" && isContentHash(value) ? null : complain(`the hash of ${what}`, value),
  );

/** A name that a recipient could read and every server keeps. */
export const isHostedFileName = (text: string): boolean => nameOnly.test(text);

export const hostedPath = ({ hash: own, fileName: name }: HostedAddress): string => `/h/${own}/${name}`;

/** The parts of a hosted path, or null for an address from elsewhere. */
export function readHostedPath(path: string): HostedAddress | null {
  const [, own, name] = whole.exec(path) ?? [];
  return own !== undefined && name !== undefined ? { hash: own, fileName: name } : null;
}

/** Whether an address is a path under our own public address; what follows need not be well formed. */
export const isHosted = (address: string): boolean => address.startsWith("/h/");

/** A hosted path under the public address, whether that ends in a slash or not; an address from elsewhere stays as it is. */
export const publicAddress = (address: string, base: string): string =>
  isHosted(address) ? base.replace(/\/+$/, "") + address : address;

/** Every hosted path in a text, in order, under whatever address it stands. */
export const hostedPathsIn = (text: string): readonly string[] => text.match(anywhere) ?? [];

/** The ending of a file name in small letters, without its dot; empty where it has none. */
export const endingOf = (name: string): string => /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? "";

const pictureEndings: ReadonlySet<string> = new Set(["png", "jpg", "gif"]);

/** The parts of a hosted picture's path, or null for any other address. */
export function readPicturePath(path: string): HostedAddress | null {
  const found = readHostedPath(path);
  return found && pictureEndings.has(endingOf(found.fileName)) ? found : null;
}
