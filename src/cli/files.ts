/** Reading what a command names, with errors that name the file. */
import { readFile } from "node:fs/promises";
import type { Node } from "prosemirror-model";
import { readPerson, type Person } from "@/core/people";
import { parseSignature, SignatureError } from "@/core/signature";
import { BadInput } from "./usage";

export async function readText(file: string): Promise<string> {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(await readFile(file));
  } catch (error) {
    if (error instanceof TypeError) throw new BadInput(`${file}: is not UTF-8 text`);
    const { code } = error as NodeJS.ErrnoException;
    const reason =
      code === "ENOENT" ? "there is no such file" : code === "EISDIR" ? "is a folder" : "cannot be read";
    throw new BadInput(`${file}: ${reason}`);
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
