/** The commands for a whole data folder. What they need is loaded when one of them is run: it brings the database along. */
import path from "node:path";
import { onlyFile, read } from "./arguments";
import { refusal } from "./files";
import { BadInput } from "./usage";

const dataOption = { data: { type: "string" } } as const;

const load = () => import("@/server/backup");
type Backup = Awaited<ReturnType<typeof load>>;

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

const pictureCount = (count: number): string => (count === 1 ? "1 picture" : `${count} pictures`);

/** One line that is written over, for whoever looks on; programs that read along get nothing of it. */
const onStep = (step: string, done: number, all: number): void => {
  if (process.stderr.isTTY) process.stderr.write(`\r${done} of ${all} ${step}${done === all ? "\n" : ""}`);
};

/** Runs what can be stopped by Ctrl C, and tells what is wrong with a file or folder as one line that names it. */
async function asTold<T>(
  { ArchiveError, DataTrouble, troubleOf }: Backup,
  file: string,
  action: (signal: AbortSignal) => Promise<T>,
): Promise<T> {
  const stop = new AbortController();
  const end = (): void => stop.abort();
  process.once("SIGINT", end);
  try {
    return await action(stop.signal);
  } catch (error) {
    if (stop.signal.aborted) throw new BadInput(`${file}: stopped; nothing was left behind`);
    if (error instanceof ArchiveError) throw new BadInput(`${file}: ${error.message}`);
    if (error instanceof DataTrouble) throw new BadInput(error.message);
    if (troubleOf(error, file)?.code === "full")
      throw new BadInput(`${file}: there is no room for it; nothing was left behind`);
    const { code } = error as NodeJS.ErrnoException;
    if (code === undefined) throw error;
    if (code === "ENOENT") throw new BadInput(`${file}: there is no such file or folder`);
    throw new BadInput(`${file}: ${refusal(error, "cannot be read or written there")}`);
  } finally {
    process.off("SIGINT", end);
  }
}

const told = (sentence: string, missing: readonly string[], because: string): string =>
  missing.length === 0
    ? sentence
    : [`${sentence}, but for ${pictureCount(missing.length)} ${because}:`, ...missing].join("\n");

/** One archive of a database and all its pictures. */
export async function backupCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, dataOption);
  const file = onlyFile(positionals, "backup");
  const backup = await load();
  const folder = path.resolve(values.data ?? backup.dataFolder());
  const { store } = backup.storeIn(folder);
  const made = await asTold(backup, file, (signal) => backup.backUp(file, { folder, store, signal, onStep }));
  return told(
    `${file}: the database and ${pictureCount(made.pictures)} of ${folder}, ${megabytes(made.bytes)}, read back and whole`,
    made.missing,
    "that the database names and that are lost or damaged",
  );
}

/** A data folder from an archive. */
export async function restoreCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, dataOption);
  const file = onlyFile(positionals, "restore");
  const backup = await load();
  const folder = path.resolve(values.data ?? backup.dataFolder());
  const { bucket } = backup.storeIn(folder);
  const made = await asTold(backup, file, (signal) =>
    backup.restore(file, { folder, bucket, signal, onStep }),
  );
  return told(
    `${folder}: the database and ${pictureCount(made.pictures)} as they were at ${made.madeAt}`,
    made.missing,
    "that the archive does not hold",
  );
}
