/** An invented web space, “Sedgeweb”: pictures that are uploaded to it are at its address, for anybody. */
import { wordTable } from "@/core/values";
import { mkdir, readdir, readFile, rm, writeFile } from "node:fs/promises";
import path from "node:path";
import { sniffType } from "@/core/pictures";
import { dataFolder } from "../configuration";
import { Refusal } from "../http/refusal";
import { imaging } from "../imaging/imaging";
import type { InventedSite } from "./site";

export const webSpaceBase = "https://sedgeweb.example/pictures";

const folder = (): string => path.join(dataFolder(), "web-space");

/** Plain names only, so that none can lead out of the folder. */
const isPlain = (name: string): boolean => /^[A-Za-z0-9][A-Za-z0-9._-]{0,99}$/.test(name);

export const listWebSpace = async (): Promise<readonly string[]> =>
  (await readdir(folder()).catch(() => [])).sort();

/** Takes a file, or the files of a zip. */
export async function uploadToWebSpace(bytes: Uint8Array, name: string): Promise<void> {
  const files = sniffType(bytes) === "zip" ? await imaging.unpackArchive(bytes, name) : [{ name, bytes }];
  await mkdir(folder(), { recursive: true });
  for (const file of files) {
    if (!isPlain(file.name))
      throw new Refusal(422, "bad-name", `“${file.name}” is no plain file name for a web space.`);
    await writeFile(path.join(folder(), file.name), file.bytes);
  }
}

export const emptyWebSpace = (): Promise<void> => rm(folder(), { recursive: true, force: true });

const types = wordTable<string>({ png: "image/png", jpeg: "image/jpeg", gif: "image/gif" });

export const webSpace: InventedSite = async ({ pathname }) => {
  const name = /^\/pictures\/([^/]+)$/.exec(pathname)?.[1] ?? "";
  const bytes = isPlain(name) ? await readFile(path.join(folder(), name)).catch(() => null) : null;
  if (!bytes)
    return { status: 404, headers: { "content-type": "text/plain" }, body: "There is nothing here.\n" };
  return {
    status: 200,
    headers: { "content-type": types[sniffType(bytes)] ?? "application/octet-stream" },
    body: bytes,
  };
};
