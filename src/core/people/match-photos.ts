/**
 * Whose photograph a file is, by what it is called: a mail address, or the words of a name in any order, as cameras, offices and people write
 * them (`Okafor_Tamsin (2).JPG`, `tamsin.jpg`, `t.okafor@…`). What could be two people's is nobody's, and nobody gets two.
 */
import { fieldValue, type Person } from "./fields";

export interface NamedPerson {
  readonly id: string;
  readonly person: Person;
}

export interface MatchedPhoto {
  readonly file: string;
  /** Null where it is nobody's, or could be several people's. */
  readonly id: string | null;
}

/** Small letters without accents: letters that are written in two ways count as the same. */
const plain = (text: string): string =>
  text
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/ß/g, "ss")
    .replace(/[øö]/g, "o")
    .replace(/ł/g, "l");

const wordsOf = (text: string): readonly string[] =>
  plain(text)
    .split(/[^\p{L}]+/u)
    .filter((word) => word !== "");

/** The name of a file without its folder and ending. */
const bareName = (file: string): string => (file.split(/[\\/]/).at(-1) ?? "").replace(/\.[^.]{1,5}$/, "");

interface Known {
  readonly id: string;
  readonly mail: string;
  /** Before the sign of the address. */
  readonly mailName: string;
  readonly words: readonly string[];
}

const knownOf = ({ id, person }: NamedPerson): Known => {
  const mail = plain(fieldValue(person, "mail"));
  return { id, mail, mailName: mail.replace(/@.*$/, ""), words: wordsOf(fieldValue(person, "name")) };
};

/** How sure it is, the surest first: each says whether a file that is called so is somebody's. */
const tells: readonly ((name: string, words: readonly string[], known: Known) => boolean)[] = [
  (name, _words, { mail }) => mail !== "" && plain(name) === mail,
  (name, _words, { mail }) => mail !== "" && plain(name).includes(mail),
  (_name, words, known) => known.words.length > 1 && known.words.every((word) => words.includes(word)),
  (name, _words, { mailName }) => mailName.length > 2 && plain(name).replace(/[^\p{L}.]+$/u, "") === mailName,
  (_name, words, known) =>
    known.words.length > 1 &&
    [known.words[0], known.words.at(-1)].every((word) => word !== undefined && words.includes(word)),
  (_name, words, known) => known.words.length === 1 && words.includes(known.words[0] ?? ""),
  (_name, words, known) => words.length > 0 && words.every((word) => known.words.includes(word)),
];

/** Files in their order, each with whose it is. Costs grow with files times people that no surer sign has told. */
export function matchPhotos(
  files: readonly string[],
  people: readonly NamedPerson[],
): readonly MatchedPhoto[] {
  const known = people.map(knownOf);
  const found = new Map<number, string>();
  const taken = new Set<string>();
  const named = files.map((file) => ({ name: bareName(file), words: wordsOf(bareName(file)) }));
  for (const tell of tells) {
    const whose = named.map(({ name, words }, index) =>
      found.has(index) ? [] : known.filter((each) => !taken.has(each.id) && tell(name, words, each)),
    );
    const asked = new Map<string, number>();
    for (const [only, ...others] of whose)
      if (only && others.length === 0) asked.set(only.id, (asked.get(only.id) ?? 0) + 1);
    for (const [index, [only, ...others]] of whose.entries()) {
      if (!only || others.length > 0 || asked.get(only.id) !== 1) continue;
      found.set(index, only.id);
      taken.add(only.id);
    }
  }
  return files.map((file, index) => ({ file, id: found.get(index) ?? null }));
}
