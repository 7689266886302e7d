/** The commands: each reads its arguments, calls the core and answers with what to print. */
import path from "node:path";
import { parseArgs, type ParseArgsConfig } from "node:util";
import { checkSignature } from "@/core/checks";
import { received, standInIds, type StandInId } from "@/core/clients";
import { compile, destinationIds } from "@/core/compile";
import { groupNotes, importHtml, ImportFileError, readImportFile, withUnsaid } from "@/core/importing";
import {
  carriedByItself,
  kitFiles,
  kitKinds,
  picturesOfKit,
  type KitKind,
  type PicturesIn,
} from "@/core/install";
import { hasShortForm, shortForm, type DestinationId } from "@/core/signature";
import { dataFolder } from "@/server/configuration";
import { folderStore } from "@/server/store/folder-store";
import { kitPictures } from "@/server/store/kit-pictures";
import { readBytes, readDocument, readPersonFile, readText, writeFiles, writeText } from "./files";
import { BadInput, WrongUsage } from "./usage";

/** Where the application itself serves pictures, until `--base` says where recipients find them. */
const ownAddress = process.env.STILL_LINE_PUBLIC_URL || "http://127.0.0.1:4310";

function read<T extends NonNullable<ParseArgsConfig["options"]>>(args: readonly string[], options: T) {
  try {
    return parseArgs({ args: [...args], options, allowPositionals: true, strict: true });
  } catch (error) {
    throw new WrongUsage((error as Error).message.split("\n")[0]);
  }
}

function onlyFile(positionals: readonly string[], what: string): string {
  const [file, ...others] = positionals;
  if (file === undefined || others.length > 0)
    throw new WrongUsage(`${what} takes one file, not ${positionals.length}`);
  return file;
}

function choice<T extends string>(value: string | undefined, choices: readonly T[], option: string): T {
  if (value === undefined) throw new WrongUsage(`${option} is missing: one of ${choices.join(", ")}`);
  if (!(choices as readonly string[]).includes(value))
    throw new WrongUsage(`${option} must be one of ${choices.join(", ")}, not ${JSON.stringify(value)}`);
  return value as T;
}

async function compileCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    for: { type: "string" },
    person: { type: "string" },
    base: { type: "string" },
  });
  const file = onlyFile(positionals, "compile");
  const destination = choice<DestinationId>(values.for, destinationIds, "--for");
  const document = await readDocument(file);
  const person = await readPersonFile(values.person);
  try {
    const written = compile(document, { destination, person, base: values.base ?? ownAddress });
    return destination === "plain-text" ? written : withUnsaid(written, document);
  } catch (error) {
    if (error instanceof RangeError) throw new BadInput(`--base: ${error.message}`);
    throw error;
  }
}

async function receiveCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    client: { type: "string" },
    mode: { type: "string", default: "light" },
    reply: { type: "boolean", default: false },
    quoted: { type: "string" },
    account: { type: "string", default: "own" },
    display: { type: "string", default: "100" },
    json: { type: "boolean", default: false },
  });
  const file = onlyFile(positionals, "receive");
  const client = choice<StandInId>(values.client, standInIds, "--client");
  const mode = choice(values.mode, ["light", "dark"] as const, "--mode");
  const account = choice(values.account, ["own", "other"] as const, "--account");
  const display = choice(values.display, ["100", "125", "150"] as const, "--display");
  const times = values.quoted ?? (values.reply ? "1" : "0");
  const quoted = Number(choice(times, ["0", "1", "2", "3"] as const, "--quoted"));
  const options = { mode, account, quoted, scale: Number(display) / 100 };
  const { html, changes } = received(await readText(file), client, options);
  return values.json ? JSON.stringify({ html, changes }, null, 2) : html;
}

async function checkCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, { person: { type: "string" }, base: { type: "string" } });
  const document = await readDocument(onlyFile(positionals, "check"));
  const person = await readPersonFile(values.person);
  return JSON.stringify(checkSignature(document, { person, base: values.base ?? ownAddress }), null, 2);
}

async function importCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, { report: { type: "string" } });
  const file = onlyFile(positionals, "import");
  try {
    const reading = await readImportFile(file, await readBytes(file));
    const { document, notes, pictures } = reading.document
      ? { document: reading.document, notes: [], pictures: [] }
      : importHtml(reading.html);
    if (values.report !== undefined)
      await writeText(values.report, `${JSON.stringify({ notes: groupNotes(notes), pictures }, null, 2)}\n`);
    return JSON.stringify(document.toJSON(), null, 2);
  } catch (error) {
    if (error instanceof ImportFileError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}

async function kitCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    for: { type: "string" },
    out: { type: "string" },
    person: { type: "string" },
    base: { type: "string" },
    name: { type: "string" },
    pictures: { type: "string" },
    data: { type: "string" },
  });
  const file = onlyFile(positionals, "kit");
  const kind = choice<KitKind>(values.for, kitKinds, "--for");
  if (values.out === undefined) throw new WrongUsage("--out is missing: the folder for the files");
  const picturesIn =
    values.pictures === undefined
      ? undefined
      : choice<PicturesIn>(values.pictures, ["hosted", "carried"], "--pictures");
  const full = await readDocument(file);
  const source = {
    name: values.name ?? path.basename(file, path.extname(file)),
    full,
    short: hasShortForm(full) ? shortForm(full) : null,
    person: await readPersonFile(values.person),
    base: values.base ?? ownAddress,
  };
  try {
    const paths = picturesOfKit(source);
    const folder = path.join(values.data ?? dataFolder(), "pictures");
    const pictures = await kitPictures(folderStore(folder), paths);
    const files = kitFiles(kind, { ...source, pictures }, picturesIn);
    await writeFiles(values.out, files);
    const missing = paths.length - pictures.size;
    const carries = (picturesIn ?? (carriedByItself[kind] === null ? "hosted" : "carried")) === "carried";
    return [
      ...files.map((each) => path.join(values.out ?? "", each.path)),
      ...(carries && missing > 0 ? [`${missing} of ${paths.length} pictures stay at their addresses`] : []),
    ].join("\n");
  } catch (error) {
    if (error instanceof RangeError) throw new BadInput(`--base: ${error.message}`);
    throw error;
  }
}

const commands: Readonly<Record<string, (args: readonly string[]) => Promise<string>>> = {
  compile: compileCommand,
  receive: receiveCommand,
  check: checkCommand,
  import: importCommand,
  kit: kitCommand,
};

/** Runs a command. Rejects with BadInput or WrongUsage. */
export async function run([name, ...args]: readonly string[]): Promise<string> {
  const command = name !== undefined && Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (!command)
    throw new WrongUsage(
      name === undefined ? "a command is missing" : `there is no command ${JSON.stringify(name)}`,
    );
  return command(args);
}
