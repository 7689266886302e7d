/** The arguments of a command, read strictly: what is not known is wrong usage. */
import { parseArgs, type ParseArgsConfig } from "node:util";
import { WrongUsage } from "./usage";

export function read<T extends NonNullable<ParseArgsConfig["options"]>>(args: readonly string[], options: T) {
  try {
    return parseArgs({ args: [...args], options, allowPositionals: true, strict: true });
  } catch (error) {
    throw new WrongUsage((error as Error).message.split("\n")[0]);
  }
}

export function onlyFile(positionals: readonly string[], what: string): string {
  const [file, ...others] = positionals;
  if (file === undefined || others.length > 0)
    throw new WrongUsage(`${what} takes one file, not ${positionals.length}`);
  return file;
}
