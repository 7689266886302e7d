"use client";

import { endpoints, type CatalogueEntry } from "@/contract";
import { ask } from "../parts/asking/ask";
import { formatCount } from "../parts/format";
import { LookBar, NothingFound } from "../parts/windowed/look-bar";
import { useLooking } from "../parts/windowed/use-looking";
import { usePieces } from "../parts/windowed/use-pieces";
import { WindowedList } from "../parts/windowed/windowed-list";
import { EntryHeads, PictureEntry } from "./picture-entry";

interface Props {
  /** Of the originals that were found, newest first. */
  readonly hashes: readonly string[];
  /** How many originals there are. */
  readonly all: number;
  /** The first of those that were found. */
  readonly entries: readonly CatalogueEntry[];
  readonly base: string;
  readonly look: string;
}

const keyOf = ({ original }: CatalogueEntry): string => original.hash;
const load = async (hashes: readonly string[]): Promise<readonly CatalogueEntry[]> =>
  (await ask(endpoints.pictureEntries, { body: { hashes: [...hashes] } })).entries;

/** All originals with their cuts, however many there are. */
export function PictureLibrary({ hashes, all, entries, base, look }: Props) {
  const looking = useLooking({ path: "/pictures", look, order: "changed", usual: "changed" });
  const { find, want } = usePieces({ given: entries, keyOf, load });
  return (
    <>
      <LookBar
        label="Look for a picture"
        placeholder="its name, or that of a cut"
        look={looking.typed}
        onLook={looking.type}
        says={looking.says(hashes.length, formatCount(all, "original"))}
      />
      {hashes.length === 0 ? (
        <NothingFound says={`No picture is called “${look}”.`} onShowAll={() => looking.type("")} />
      ) : (
        <EntryHeads />
      )}
      <WindowedList
        label="Originals"
        keys={hashes}
        columns={1}
        estimate={139}
        gap={0}
        onShown={want}
        item={(hash) => {
          const entry = find(hash);
          return entry && <PictureEntry entry={entry} base={base} />;
        }}
      />
    </>
  );
}
