"use client";

/** What somebody has already, as it would begin here: its block of a message, its pictures, and what it became. */
import { useCallback, useMemo, useState } from "react";
import {
  findHosted,
  groupNotes,
  importHtml,
  offerFields,
  takeFields,
  whoseDetails,
  type FieldOffer,
  type FoundPicture,
  type Imported,
  type NoteGroup,
} from "@/core/importing";
import type { DirectoryPerson } from "@/contract";
import type { Existing } from "./read-existing";

export interface ReadSignature {
  readonly html: string;
  readonly block: number;
  readonly chooseBlock: (index: number) => void;
  readonly imported: Imported;
  readonly groups: readonly NoteGroup[];
  /** Pictures that were chosen here for those that are missing. */
  readonly addPictures: (files: readonly File[]) => void;
  readonly chosen: ReadonlyMap<string, File>;
  readonly person: DirectoryPerson | null;
  readonly choosePerson: (id: string) => void;
  readonly offers: readonly FieldOffer[];
  readonly taken: ReadonlySet<number>;
  readonly setTaken: (index: number, taken: boolean) => void;
  readonly setAllTaken: (taken: boolean) => void;
  /** As it would begin, with stand-ins for pictures that are taken in then. */
  readonly document: Imported["document"];
  /** The same with pictures as they were taken in. */
  readonly documentWith: (found: ReadonlyMap<string, FoundPicture>) => Imported["document"];
}

/** The file's own name of a picture that lies in a folder beside the message. */
export const pictureName = (address: string): string => {
  const last =
    address
      .replace(/[?#].*$/, "")
      .split(/[/\\]/)
      .pop() ?? address;
  try {
    return decodeURIComponent(last);
  } catch {
    return last;
  }
};

/** Files by the pictures that they are, matched by name whatever its case and ending. */
export function matchPictures(
  addresses: readonly string[],
  files: readonly File[],
): ReadonlyMap<string, File> {
  const bare = (name: string): string => name.toLowerCase().replace(/\.[a-z0-9]+$/, "");
  const found = new Map<string, File>();
  for (const address of addresses) {
    const name = pictureName(address);
    const exact = files.find((file) => file.name.toLowerCase() === name.toLowerCase());
    const match = exact ?? files.find((file) => bare(file.name) === bare(name));
    if (match) found.set(address, match);
  }
  // One missing picture and one file need no names.
  const [only] = addresses;
  const [file] = files;
  if (found.size === 0 && addresses.length === 1 && files.length === 1 && only && file) found.set(only, file);
  return found;
}

export function useExisting(existing: Existing, people: readonly DirectoryPerson[]): ReadSignature {
  const [block, setBlock] = useState(0);
  const [chosen, setChosen] = useState<ReadonlyMap<string, File>>(new Map());
  const [personId, setPersonId] = useState<string | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const html = existing.blocks[block]?.html ?? existing.reading.html;
  const find = useCallback(
    (found: ReadonlyMap<string, FoundPicture>) =>
      importHtml(html, {
        findPicture: (address) => {
          const here = found.get(address) ?? findHosted(address);
          if (here) return here;
          // It is taken in when the signature begins.
          const brought = existing.brought.get(address);
          if (brought) return { source: brought.standIn, ...brought.size };
          return chosen.has(address) ? { source: address } : null;
        },
      }),
    [html, existing, chosen],
  );
  const imported = useMemo(() => find(new Map()), [find]);
  const groups = useMemo(() => groupNotes(imported.notes), [imported]);
  const guessed = useMemo(() => whoseDetails(imported.document, people), [imported, people]);
  const person = people.find(({ id }) => id === personId) ?? guessed;
  const offers = useMemo(
    () => (person ? offerFields(imported.document, person.person) : []),
    [imported, person],
  );
  const taken = useMemo(
    () => new Set(offers.flatMap((_offer, index) => (left.has(index) ? [] : [index]))),
    [offers, left],
  );
  const withFields = useCallback(
    (read: Imported["document"]) => {
      const wanted = offers.filter((_offer, index) => taken.has(index));
      return person && wanted.length > 0 ? takeFields(read, wanted, person.person) : read;
    },
    [offers, taken, person],
  );
  const document = useMemo(() => withFields(imported.document), [withFields, imported]);
  const missing = imported.pictures.filter(({ found }) => !found).map(({ address }) => address);
  return {
    html,
    block,
    chooseBlock: (index) => {
      setBlock(index);
      setLeft(new Set());
    },
    imported,
    groups,
    addPictures: (files) => setChosen((before) => new Map([...before, ...matchPictures(missing, files)])),
    chosen,
    person,
    choosePerson: (id) => {
      setPersonId(id);
      setLeft(new Set());
    },
    offers,
    taken,
    setTaken: (index, wanted) =>
      setLeft((before) => {
        const next = new Set(before);
        if (wanted) next.delete(index);
        else next.add(index);
        return next;
      }),
    setAllTaken: (wanted) => setLeft(wanted ? new Set() : new Set(offers.map((_offer, index) => index))),
    document,
    documentWith: (found) => (found.size > 0 ? withFields(find(found).document) : document),
  };
}
