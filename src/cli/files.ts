/** Reading what a command names, with errors that name the file. */
import { mkdir, readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import type { Node } from "prosemirror-model";
import { readList, readPerson, type Person } from "@/core/people";
import { parseSignature, SignatureError } from "@/core/signature";
import { BadInput } from "./usage";

/** What systems answer for a file that another program holds, or that nobody may write into. */
const locked = new Set(["EBUSY", "EPERM", "EACCES", "ETXTBSY", "EROFS"]);

/** The sentence for a file that the system does not give or take. */
export function refusal(error: unknown, otherwise: string): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === "ENOENT") return "there is no such file";
  if (code === "EISDIR") return "is a folder";
  return locked.has(code ?? "")
    ? `${otherwise}: it is locked; close the mail program, or unlock the file`
    : otherwise;
}

export async function readBytes(file: string): Promise<Uint8Array> {
  try {
    return await readFile(file);
  } catch (error) {
    throw new BadInput(`${file}: ${refusal(error, "cannot be read")}`);
  }
}

export async function readText(file: string): Promise<string> {
  const bytes = await readBytes(file);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    throw new BadInput(`${file}: is not UTF-8 text`);
  }
}

export async function writeContent(file: string, content: string | Uint8Array): Promise<void> {
  try {
    await writeFile(file, content);
  } catch (error) {
    throw new BadInput(`${file}: ${refusal(error, "cannot be written")}`);
  }
}

/** Files of a kit in a folder, which is made where it is not there. */
export async function writeFiles(
  folder: string,
  files: readonly { readonly path: string; readonly bytes: Uint8Array }[],
): Promise<void> {
  for (const { path: own, bytes } of files) {
    const file = path.join(folder, own);
    try {
      await mkdir(path.dirname(file), { recursive: true });
      await writeFile(file, bytes);
    } catch (error) {
      throw new BadInput(`${file}: ${refusal(error, "cannot be written")}`);
    }
  }
}

async function readJson(file: string): Promise<unknown> {
  const source = await readText(file);
  try {
    return JSON.parse(source);
  } catch (error) {
    throw new BadInput(`${file}: is not JSON: ${(error as Error).message.split("\n")[0]}`);
  }
}

export async function readDocument(file: string): Promise<Node> {
  const json = await readJson(file);
  try {
    return parseSignature(json);
  } catch (error) {
    if (error instanceof SignatureError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}

export async function readPersonFile(file: string | undefined): Promise<Person | null> {
  if (file === undefined) return null;
  const json = await readJson(file);
  try {
    return readPerson(json);
  } catch (error) {
    if (error instanceof RangeError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}

/** The people of a list: a table as CSV, or contact cards. */
export async function readPeopleFile(file: string) {
  const { plan } = readList({
    ...{ source: await readBytes(file), people: [], own: [], remembered: {} },
    ...{ encoding: null, delimiter: null, named: null, columns: null, emptying: false, mended: {} },
  });
  if (plan.added.length === 0) throw new BadInput(`${file}: has nobody in it that can be read`);
  return { people: plan.added.map(({ person }) => person), broken: plan.broken };
}
