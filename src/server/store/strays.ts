/** Files that a process was writing when it ended: named so that they are known, and swept when the next one starts. */
import { randomUUID } from "node:crypto";
import { readdir, rm, stat as look } from "node:fs/promises";
import path from "node:path";

/** Kept on the global object: the parts of one process that write are bundled apart. */
const holder = globalThis as typeof globalThis & { stillLineWriting?: Set<string> };

const writing = (): Set<string> => (holder.stillLineWriting ??= new Set());

/** Writes a file under a name of its own first; `finish` is given that name, and has taken it away or moved it when it resolves. */
export async function asStray<T>(file: string, finish: (stray: string) => Promise<T>): Promise<T> {
  const stray = `${file}.${process.pid}-${randomUUID()}`;
  writing().add(path.basename(stray));
  try {
    return await finish(stray);
  } catch (error) {
    await rm(/*turbopackIgnore: true*/ stray, { force: true });
    throw error;
  } finally {
    writing().delete(path.basename(stray));
  }
}

const stray = /\.(?:(\d+)-)?[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}$/;

/** Nothing takes so long to write, whatever process has the number of the one that did; ms. */
const longest = 60 * 60_000;

/** Whether some process of this number runs (POSIX, kill). */
function runs(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
}

async function isBeingWritten(file: string, pid: string | undefined): Promise<boolean> {
  if (pid === undefined) return false;
  // In a container the process before had the same number.
  if (Number(pid) === process.pid) return writing().has(path.basename(file));
  return runs(Number(pid)) && Date.now() - (await look(/*turbopackIgnore: true*/ file)).mtimeMs < longest;
}

/** Takes away what was left half-written under a folder; what is being written stays. Resolves with how many. */
export async function sweepStrays(folder: string): Promise<number> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true }).catch(() => []);
  let swept = 0;
  for (const entry of entries) {
    const [found, pid] = stray.exec(entry.name) ?? [];
    const file = path.join(/*turbopackIgnore: true*/ entry.parentPath, entry.name);
    if (found === undefined || !entry.isFile() || (await isBeingWritten(file, pid))) continue;
    await rm(file, { force: true });
    swept += 1;
  }
  return swept;
}
