/** Letters that go to and fro three times between two clients of the Mailroom, and what is left of the first signature. */
import { readFileSync } from "node:fs";
import { received } from "@/core/clients";
import { deskClientIds, deskClients, type DeskClient, type DeskClientId } from "@/core/desks";
import { kitFiles, picturesOfKit } from "@/core/install";
import {
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
const png = new Uint8Array(readFileSync("demo/pictures/cuts/3c9a065c28082dfae223/harrow-fen-logo.png"));

/** The signature of a person as a client holds it once its kit is installed there. */
function installed(client: DeskClient, name: string): string {
  const source = { full, short: null, person: readPerson(read(`demo/people/${name}.json`)), base };
  const pictures = new Map(
    picturesOfKit(source).map((path) => [path, { type: "image/png", bytes: png }] as const),
  );
  const files = kitFiles(client.kind, { ...source, name: "Full", pictures });
  const [first] = files;
  if (!first) throw new Error(`No kit for ${client.name}`);
  if (client.holding === "folder") return readFolder(files, client.id).signatures[0]?.html ?? "";
  if (client.holding === "archives")
    return readArchive({ path: "a", name: "Full", bytes: first.bytes, held: first.bytes }, client.id).html;
  const page =
    files.find(({ type }) => type.startsWith("text/html")) ??
    kitFiles("webmail", { ...source, name: "Full", pictures })[0];
  return received(new TextDecoder().decode(page?.bytes), client.standIn).html;
}

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

export interface Round {
  readonly first: DeskClientId;
  readonly second: DeskClientId;
  readonly left: Left;
}

/** What is left for every pair of clients, those with themselves among them. */
export function allRounds(): readonly Round[] {
  return deskClientIds.flatMap((first) =>
    deskClientIds.map((second) => {
      const signature = installed(deskClients[first], people.first);
      const answer = installed(deskClients[second], people.second);
      let letter = sent(deskClients[first], signature, null);
      for (let round = 1; round <= rounds; round += 1)
        letter =
          round % 2 === 1
            ? sent(deskClients[second], answer, letter)
            : sent(deskClients[first], signature, letter);
      return { first, second, left: whatIsLeft(signature, letter.html ?? "") };
    }),
  );
}

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
