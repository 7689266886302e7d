/** Where things are, from the environment. */
import path from "node:path";
import type { BucketSettings } from "./store/object-store";

/** The folder that holds the database and the pictures. */
export const dataFolder = (): string =>
  path.resolve(/*turbopackIgnore: true*/ process.env.STILL_LINE_DATA || ".still-line");

/** Where the bytes of pictures lie, unless a bucket holds them. */
export const pictureFolder = (): string => path.join(/*turbopackIgnore: true*/ dataFolder(), "pictures");

/** The application's own address on this machine. */
export const ownBase = (): string => `http://127.0.0.1:${process.env.PORT || "4310"}`;

/**
 * The public address that the environment names for pictures; until one is set, the application's own, which only
 * this machine reaches; that is a finding. A setting goes before it: `publicBase` in `addresses/public-address`.
 */
export const configuredBase = (): string =>
  (process.env.STILL_LINE_PUBLIC_URL || ownBase()).replace(/\/+$/, "");

/** The port that serves what is hosted and nothing else; null where there is none. */
export const publicPort = (): string | null => process.env.STILL_LINE_PUBLIC_PORT || null;

/** The bucket that pictures are kept in, or null for the data folder. */
export function bucketSettings(): BucketSettings | null {
  const bucket = process.env.STILL_LINE_BUCKET;
  if (!bucket) return null;
  const accessKeyId = process.env.STILL_LINE_BUCKET_KEY;
  const secretAccessKey = process.env.STILL_LINE_BUCKET_SECRET;
  return {
    bucket,
    endpoint: process.env.STILL_LINE_BUCKET_ENDPOINT || null,
    region: process.env.STILL_LINE_BUCKET_REGION || "us-east-1",
    credentials: accessKeyId && secretAccessKey ? { accessKeyId, secretAccessKey } : null,
  };
}
