/**
 * A bucket of any S3-compatible object store. Cuts lie under the path of their public address, with their type and
 * a year of caching, so that a bucket that is open to all can be the public address itself.
 */
import {
  DeleteObjectCommand,
  GetObjectCommand,
  NoSuchKey,
  PutObjectCommand,
  S3Client,
} from "@aws-sdk/client-s3";
import { hostedPath } from "@/core/addresses";
import { fileTypeOf } from "@/core/links";
import { checkKey, type PictureStore, type StoreKey } from "./picture-store";

export interface BucketSettings {
  readonly bucket: string;
  /** Of a store of one's own; null for the region's. */
  readonly endpoint: string | null;
  readonly region: string;
  /** Null looks where the official client looks: environment, profile, machine. */
  readonly credentials: { readonly accessKeyId: string; readonly secretAccessKey: string } | null;
}

type HostedKey = Extract<StoreKey, { fileName: string }>;

const contentType = (key: HostedKey): string =>
  key.kind === "cut" ? `image/${key.type}` : (fileTypeOf(key.fileName)?.type ?? "application/octet-stream");

export function objectStore({ bucket, endpoint, region, credentials }: BucketSettings): PictureStore {
  const client = new S3Client({
    region,
    ...(endpoint ? { endpoint, forcePathStyle: true } : {}),
    ...(credentials ? { credentials } : {}),
    // Many compatible stores do not know the newer checksums.
    requestChecksumCalculation: "WHEN_REQUIRED",
    responseChecksumValidation: "WHEN_REQUIRED",
  });
  const place = (key: StoreKey) => {
    checkKey(key);
    return {
      Bucket: bucket,
      Key: "fileName" in key ? hostedPath(key).slice(1) : `${key.kind}s/${key.hash}`,
    };
  };
  return {
    put: async (key, bytes) => {
      await client.send(
        new PutObjectCommand({
          ...place(key),
          Body: bytes,
          ContentLength: bytes.length,
          ...("fileName" in key
            ? { ContentType: contentType(key), CacheControl: "public, max-age=31536000, immutable" }
            : {}),
        }),
      );
    },
    get: async (key) => {
      try {
        const { Body } = await client.send(new GetObjectCommand(place(key)));
        return Body ? Buffer.from(await Body.transformToByteArray()) : null;
      } catch (error) {
        if (error instanceof NoSuchKey || (error as { name?: string }).name === "NoSuchKey") return null;
        throw error;
      }
    },
    remove: async (key) => {
      await client.send(new DeleteObjectCommand(place(key)));
    },
  };
}
