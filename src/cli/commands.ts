/** The commands: each reads its arguments, calls the core and answers with what to print. */
import path from "node:path";
import { complaintsOf, mailAddress, outgoingServer } from "@/contract";
import { checkSignature } from "@/core/checks";
import { received, standInIds, type StandInId } from "@/core/clients";
import { compile, destinationIds } from "@/core/compile";
import { GraftError, onlyPlace, readHost } from "@/core/graft";
import { groupNotes, importHtml, ImportFileError, readImportFile, withUnsaid } from "@/core/importing";
import {
  codeOf,
  graftFiles,
  graftPictures,
  kitFiles,
  kitLetter,
  kitsForPeople,
  picturesOfKit,
  usualPlace,
  type KitSource,
} from "@/core/install";
import { codeContents, kitKinds, picturePlaces, type KitKind, type PicturesIn } from "@/core/install-kinds";
import { codePng, codeSvg, largestCode, smallestCode } from "@/core/qr";
import { hasShortForm, shortForm, type DestinationId } from "@/core/signature";
import { object } from "@/core/values";
import { dataFolder } from "@/server/configuration";
import { folderStore } from "@/server/store/folder-store";
import { handOver, MailTrouble } from "@/server/outgoing/hand-over";
import { kitPictures } from "@/server/store/kit-pictures";
import {
  readBytes,
  readDocument,
  readPeopleFile,
  readPersonFile,
  readText,
  writeFiles,
  writeContent,
} from "./files";
import { backupCommand, restoreCommand } from "./data-commands";
import { fitCommand } from "./fit-command";
import { onlyFile, read } from "./arguments";
import { BadInput, WrongUsage } from "./usage";

const letterTo = object({ to: mailAddress });

/** Where the application itself serves pictures, until `--base` says where recipients find them. */
const ownAddress = process.env.STILL_LINE_PUBLIC_URL || "http://127.0.0.1:4310";

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
      await writeContent(
        values.report,
        `${JSON.stringify({ notes: groupNotes(notes), pictures }, null, 2)}\n`,
      );
    return JSON.stringify(document.toJSON(), null, 2);
  } catch (error) {
    if (error instanceof ImportFileError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}

/** What every command that writes a signature into files reads: the signature, and where its pictures are. */
const sourceOptions = {
  out: { type: "string" },
  person: { type: "string" },
  base: { type: "string" },
  name: { type: "string" },
  pictures: { type: "string" },
  data: { type: "string" },
} as const;

type SourceValues = { readonly [name in keyof typeof sourceOptions]?: string };

async function readSource(file: string, values: SourceValues) {
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
    return { ...source, pictures, mentioned: paths.length };
  } catch (error) {
    if (error instanceof RangeError) throw new BadInput(`--base: ${error.message}`);
    throw error;
  }
}

const picturesAsked = ({ pictures }: SourceValues): PicturesIn | undefined =>
  pictures === undefined ? undefined : choice<PicturesIn>(pictures, picturePlaces, "--pictures");

interface Carried {
  readonly mentioned: number;
  readonly pictures: ReadonlyMap<string, unknown>;
}

/** The paths of written files, and how many pictures could not be carried where they should be. */
function told(out: string, files: readonly { path: string }[], picturesIn: PicturesIn, has: Carried): string {
  const missing = has.mentioned - has.pictures.size;
  return [
    ...files.map((each) => path.join(out, each.path)),
    ...(picturesIn === "carried" && missing > 0
      ? [`${missing} of ${has.mentioned} pictures stay at their addresses`]
      : []),
  ].join("\n");
}

/** A kit for each person of a list, in folders of their own; lines that cannot be read are told, and stop nothing. */
async function kitsCommand(
  kind: KitKind,
  source: KitSource,
  picturesIn: PicturesIn,
  out: string,
  list: string,
): Promise<string> {
  const { people, broken } = await readPeopleFile(list);
  const failed = broken.map(({ line, reason }) => `${list}, line ${line}: ${reason}`);
  let made = 0;
  for (const kit of kitsForPeople(kind, source, people, picturesIn)) {
    if (kit.failed !== null) {
      failed.push(`${kit.person.name}: ${kit.failed}`);
      continue;
    }
    await writeFiles(path.join(out, kit.folder), kit.files);
    made += 1;
  }
  return [`${made} kits in ${out}`, ...failed].join("\n");
}

async function kitCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    ...{ for: { type: "string" }, people: { type: "string" } },
    ...sourceOptions,
  });
  const file = onlyFile(positionals, "kit");
  const kind = choice<KitKind>(values.for, kitKinds, "--for");
  if (values.out === undefined) throw new WrongUsage("--out is missing: the folder for the files");
  const picturesIn = picturesAsked(values) ?? usualPlace(kind);
  if (values.people !== undefined && values.person !== undefined)
    throw new WrongUsage("one of --person and --people says whose details the kit has");
  const source = await readSource(file, values);
  if (values.people !== undefined) return kitsCommand(kind, source, picturesIn, values.out, values.people);
  const files = kitFiles(kind, source, picturesIn);
  await writeFiles(values.out, files);
  return told(values.out, files, picturesIn, source);
}

async function graftCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    into: { type: "string" },
    words: { type: "string" },
    whole: { type: "boolean", default: false },
    short: { type: "boolean", default: false },
    ...sourceOptions,
  });
  const file = onlyFile(positionals, "graft");
  const { into, out, words, whole } = values;
  if (into === undefined) throw new WrongUsage("--into is missing: the file that the mail program made");
  if (out === undefined) throw new WrongUsage("--out is missing: the folder for the files");
  if ((words === undefined) === !whole)
    throw new WrongUsage("one of --words and --whole says what the signature takes the place of");
  const asked = picturesAsked(values);
  const source = await readSource(file, values);
  try {
    const host = readHost(await readBytes(into));
    const place = words === undefined ? ({ kind: "body" } as const) : onlyPlace(host, words);
    const picturesIn = asked ?? graftPictures[host.form][0] ?? "hosted";
    if (!graftPictures[host.form].includes(picturesIn))
      throw new BadInput(`${into}: holds no pictures, so they stay at their addresses: --pictures hosted`);
    const document = values.short ? (source.short ?? source.full) : source.full;
    const files = graftFiles({ host, fileName: path.basename(into), place, document, source, picturesIn });
    await writeFiles(out, files);
    return told(out, files, picturesIn, source);
  } catch (error) {
    if (error instanceof GraftError) throw new BadInput(`${into}: ${error.message}`);
    throw error;
  }
}

async function sendCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    to: { type: "string" },
    from: { type: "string" },
    host: { type: "string" },
    port: { type: "string" },
    security: { type: "string", default: "tls" },
    user: { type: "string", default: "" },
    short: { type: "boolean", default: false },
    ...sourceOptions,
  });
  const file = onlyFile(positionals, "send");
  const security = choice(values.security, ["tls", "starttls"] as const, "--security");
  const asked = {
    host: values.host ?? "",
    port: values.port ?? (security === "tls" ? "465" : "587"),
    security,
    user: values.user,
    password: process.env.STILL_LINE_SMTP_PASSWORD ?? "",
    from: values.from ?? "",
  };
  const to = values.to ?? "";
  const [wrong] = Object.entries({
    ...complaintsOf(outgoingServer, asked),
    ...complaintsOf(letterTo, { to }),
  });
  if (wrong) throw new WrongUsage(`--${wrong[0]}: ${wrong[1]}`);
  const source = await readSource(file, values);
  const { bytes: raw } = kitLetter(
    source,
    values.short ? "short" : "full",
    picturesAsked(values) ?? "hosted",
  );
  try {
    await handOver({ ...asked, port: Number(asked.port) }, { from: asked.from, to, raw });
  } catch (error) {
    if (error instanceof MailTrouble) throw new BadInput(error.message);
    throw error;
  }
  return `${asked.host} has taken the letter for ${to}`;
}

async function codeCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    of: { type: "string" },
    out: { type: "string" },
    size: { type: "string", default: "600" },
  });
  const file = onlyFile(positionals, "code");
  const of = choice(values.of, codeContents, "--of");
  const form = /\.(png|svg)$/i.exec(values.out ?? "")?.[1]?.toLowerCase();
  if (values.out === undefined || form === undefined)
    throw new WrongUsage("--out names the picture, and ends in .png or .svg");
  const size = Number(values.size);
  if (!Number.isInteger(size) || size < smallestCode || size > largestCode)
    throw new WrongUsage(`--size must be px from ${smallestCode} to ${largestCode}, not ${values.size}`);
  const text = codeOf(of, await readPersonFile(file));
  if (text === null) throw new BadInput(`${file}: has no ${of === "card" ? "name" : "web page"}`);
  try {
    await writeContent(values.out, form === "png" ? codePng(text, size) : codeSvg(text, size));
  } catch (error) {
    if (error instanceof RangeError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
  return values.out;
}

const commands: Readonly<Record<string, (args: readonly string[]) => Promise<string>>> = {
  compile: compileCommand,
  receive: receiveCommand,
  check: checkCommand,
  import: importCommand,
  kit: kitCommand,
  fit: fitCommand,
  graft: graftCommand,
  send: sendCommand,
  code: codeCommand,
  backup: backupCommand,
  restore: restoreCommand,
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
