import { mkdir, mkdtemp, readdir, rm } from "node:fs/promises";
import { createServer, type AddressInfo } from "node:net";
import os from "node:os";
import path from "node:path";
import { HeadObjectCommand, S3Client } from "@aws-sdk/client-s3";
import S3rver from "s3rver";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readPicturePath } from "@/core/addresses";
import { closeImaging } from "../imaging/imaging";
import { plain } from "../imaging/pictures-for-tests";
import { readHosted } from "../pictures/cuts";
import { addOriginal } from "../pictures/originals";
import { cutWhole } from "../pictures/placing";
import { folderStore } from "./folder-store";
import { storeInWords } from "./store";
import { objectStore } from "./object-store";
import type { PictureStore, StoreKey } from "./picture-store";

const hash = "0123456789abcdef0123";
const original: StoreKey = { kind: "original", hash };
const cut: StoreKey = { kind: "cut", hash, fileName: "ada-quill.png", type: "png" };

let folder: string;
let server: S3rver;
let endpoint: string;

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-store-"));
  const port = await freePort();
  endpoint = `http://127.0.0.1:${port}`;
  for (const name of ["own", "whole"]) await mkdir(path.join(folder, name));
  server = new S3rver({
    port,
    address: "127.0.0.1",
    silent: true,
    directory: path.join(folder, "buckets"),
    configureBuckets: [{ name: "pictures", configs: [] }],
  });
  await server.run();
});

afterAll(async () => {
  await server.close();
  await rm(folder, { recursive: true, force: true });
});

const stores: readonly (readonly [name: string, open: () => PictureStore])[] = [
  ["a folder", () => folderStore(path.join(folder, "own"))],
  [
    "a bucket behind a real S3-compatible server",
    () =>
      objectStore({
        bucket: "pictures",
        endpoint,
        region: "us-east-1",
        credentials: { accessKeyId: "S3RVER", secretAccessKey: "S3RVER" },
      }),
  ],
];

describe.each(stores)("%s", (_name, open) => {
  it("gives back what was put under a key, for originals and cuts apart", async () => {
    const store = open();
    expect(await store.get(cut)).toBeNull();
    await store.put(original, Buffer.from("the original"));
    await store.put(cut, Buffer.from([0, 1, 2, 255]));
    expect((await store.get(original))!.toString()).toBe("the original");
    expect([...(await store.get(cut))!]).toEqual([0, 1, 2, 255]);
  });

  it("takes away what was there, and what was not", async () => {
    const store = open();
    await store.put(cut, Buffer.from("x"));
    await store.remove(cut);
    await store.remove(cut);
    expect(await store.get(cut)).toBeNull();
  });

  it("refuses keys that could lead elsewhere", async () => {
    const store = open();
    for (const key of [
      { ...original, hash: "../../etc/passwd" },
      { ...cut, fileName: "../x.png" },
    ] as StoreKey[])
      await expect((async () => store.get(key))()).rejects.toThrow(RangeError);
  });
});

describe("what is put", () => {
  it("into a folder leaves nothing unfinished behind", async () => {
    const store = folderStore(path.join(folder, "whole"));
    await Promise.all([1, 2, 3].map(() => store.put(original, Buffer.alloc(100_000, 7))));
    expect(await readdir(path.join(folder, "whole", "originals"))).toEqual([hash]);
  });

  it("into a bucket lies under its public path, with its type and for ever, so that the bucket can serve it", async () => {
    const [, open] = stores[1]!;
    await open().put(cut, Buffer.from("x"));
    const client = new S3Client({
      endpoint,
      region: "us-east-1",
      forcePathStyle: true,
      credentials: { accessKeyId: "S3RVER", secretAccessKey: "S3RVER" },
    });
    const head = await client.send(
      new HeadObjectCommand({ Bucket: "pictures", Key: `h/${hash}/ada-quill.png` }),
    );
    expect(head).toMatchObject({
      ContentType: "image/png",
      CacheControl: "public, max-age=31536000, immutable",
      ContentLength: 1,
    });
  });

  it("says so when the bucket is not there, instead of answering with nothing", async () => {
    const store = objectStore({
      bucket: "missing",
      endpoint,
      region: "us-east-1",
      credentials: { accessKeyId: "S3RVER", secretAccessKey: "S3RVER" },
    });
    await expect(store.get(cut)).rejects.toThrow();
    await expect(store.put(cut, Buffer.from("x"))).rejects.toThrow();
  });
});

describe("the application", () => {
  it("keeps its pictures in the bucket that the environment names, and serves them from there", async () => {
    Object.assign(process.env, {
      STILL_LINE_DATA: path.join(folder, "data"),
      STILL_LINE_BUCKET: "pictures",
      STILL_LINE_BUCKET_ENDPOINT: endpoint,
      STILL_LINE_BUCKET_KEY: "S3RVER",
      STILL_LINE_BUCKET_SECRET: "S3RVER",
    });
    try {
      const added = await addOriginal(await plain(60, 40, "#3F5B2E"), "from a bucket.png");
      const { source, fileName } = await cutWhole(added.hash, 20);
      const address = readPicturePath(source)!;
      expect((await readHosted(address.hash, fileName))!.bytes.length).toBeGreaterThan(50);
      expect(await readdir(path.join(folder, "data"))).not.toContain("pictures");
      expect(storeInWords()).toBe("in the bucket “pictures”");
    } finally {
      for (const name of ["", "_ENDPOINT", "_KEY", "_SECRET"]) delete process.env[`STILL_LINE_BUCKET${name}`];
      await closeImaging();
    }
  });
});
