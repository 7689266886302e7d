/** Letters that go to and fro three times between two clients of the Mailroom, and what is left of the first signature. */
import { readFileSync } from "node:fs";
import { received } from "@/core/clients";
import {
  deskClientIds,
  deskClients,
  type DeskClient,
  type DeskClientId,
  type HeldSignature,
} from "@/core/desks";
import { kitFiles, picturesOfKit } from "@/core/install";
import {
  archivePictures,
  asSent,
  letterStart,
  quotedIn,
  readArchive,
  readFolder,
  whatIsLeft,
  type AnsweredLetter,
  type Left,
} from "@/core/mailroom";
import { readPerson } from "@/core/people";
import { parseSignature } from "@/core/signature";

const read = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const base = "https://pictures.harrowfen.example";
const full = parseSignature(read("demo/signatures/full.json"));

/** The bytes of a hosted picture of the demo. */
const pictureAt = (hosted: string): Uint8Array =>
  new Uint8Array(readFileSync(`demo/pictures/cuts/${hosted.replace(/^\/h\//, "")}`));

interface Installed {
  readonly html: string;
  /** Bytes of the pictures that it names, by their addresses. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/** The signature of a person as a client holds it once its kit is installed there. */
function installed(client: DeskClient, name: string): Installed {
  const source = { full, short: null, person: readPerson(read(`demo/people/${name}.json`)), base };
  const hosted = picturesOfKit(source).map((path) => [path, pictureAt(path)] as const);
  const pictures = new Map(hosted.map(([path, bytes]) => [path, { type: "image/png", bytes }] as const));
  const files = kitFiles(client.kind, { ...source, name: "Full", pictures });
  const [first] = files;
  if (!first) throw new Error(`No kit for ${client.name}`);
  if (client.holding === "folder") {
    const held = readFolder(files, client.id).signatures[0];
    const bytesAt = new Map(files.map(({ path, bytes }) => [path, bytes] as const));
    return inLetters(held, (path) => bytesAt.get(path));
  }
  if (client.holding === "archives") {
    const held = readArchive({ path: "a", name: "Full", bytes: first.bytes, held: first.bytes }, client.id);
    const bytesAt = new Map<string, Uint8Array>(
      archivePictures(first.bytes).map(({ url, bytes }) => [`a/${url}`, bytes]),
    );
    return inLetters(held, (path) => bytesAt.get(path));
  }
  const page =
    files.find(({ type }) => type.startsWith("text/html")) ??
    kitFiles("webmail", { ...source, name: "Full", pictures })[0];
  return {
    html: received(new TextDecoder().decode(page?.bytes), client.standIn).html,
    pictures: new Map(hosted.map(([path, bytes]) => [base + path, bytes] as const)),
  };
}

/** What a client holds, with the bytes of what it attaches by content ids. */
const inLetters = (
  held: HeldSignature | undefined,
  bytesAt: (path: string) => Uint8Array | undefined,
): Installed => ({
  html: held?.html ?? "",
  pictures: new Map(
    Object.entries(held?.pictures ?? {}).flatMap(([id, path]) => {
      const bytes = bytesAt(path);
      return bytes ? [[`cid:${id}`, bytes] as const] : [];
    }),
  ),
});

const people = { first: "tamsin-okafor", second: "ifor-pell" } as const;

/** A letter as its client sends it, the one before quoted in it. */
function sent(client: DeskClient, signature: string, before: AnsweredLetter | null): AnsweredLetter {
  const html = letterStart({
    text: "Words.",
    signature,
    delimiter: client.usualDelimiter,
    place: client.usualPlace,
    quoted: before ? quotedIn(before, client) : null,
  });
  return {
    from: { name: client.name, address: `${client.id}@harrowfen.example` },
    to: [],
    cc: [],
    subject: "Seeds",
    when: "Saturday, 28 November 2026, 10:00",
    html: received(asSent(html), client.standIn).html,
    text: "",
  };
}

export const rounds = 3;

/** Letters that go to and fro between two clients. */
export interface Exchange {
  readonly first: DeskClientId;
  readonly second: DeskClientId;
  /** The signature under the first letter, as its client holds it. */
  readonly signature: string;
  /** HTML of the first letter as it was sent, and of the last. */
  readonly letters: readonly [first: string, last: string];
  /** Bytes of the pictures of the first signature, by the addresses in the letters. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/** Every pair of clients, those with themselves among them. */
export function allExchanges(): readonly Exchange[] {
  return deskClientIds.flatMap((first) =>
    deskClientIds.map((second) => {
      const { html: signature, pictures } = installed(deskClients[first], people.first);
      const answer = installed(deskClients[second], people.second).html;
      const begun = sent(deskClients[first], signature, null);
      let letter = begun;
      for (let round = 1; round <= rounds; round += 1)
        letter =
          round % 2 === 1
            ? sent(deskClients[second], answer, letter)
            : sent(deskClients[first], signature, letter);
      return { first, second, signature, letters: [begun.html ?? "", letter.html ?? ""], pictures };
    }),
  );
}

export interface Round {
  readonly first: DeskClientId;
  readonly second: DeskClientId;
  readonly left: Left;
}

/** What is left for every pair of clients. */
export const allRounds = (): readonly Round[] =>
  allExchanges().map(({ first, second, signature, letters: [, last] }) => ({
    first,
    second,
    left: whatIsLeft(signature, last),
  }));

const share = ([kept, of]: readonly [number, number]): string => `${kept} of ${of}`;

/** The table of the documentation. */
export const roundsTable = (all: readonly Round[] = allRounds()): string =>
  [
    "| first written with | answered with | words | links | pictures | looks | stands there |",
    "| --- | --- | --- | --- | --- | --- | --- |",
    ...all.map(
      ({ first, second, left }) =>
        `| ${deskClients[first].name} | ${deskClients[second].name} | ${share(left.words)} | ${share(left.links)} | ${share(left.pictures)} | ${share(left.looks)} | ${left.stands} times |`,
    ),
  ].join("\n");
