"use client";

import { endpoints, longestSearch, type CatalogueEntry } from "@/contract";
import { ask } from "../parts/asking/ask";
import { TextField } from "../parts/fields/text-field";
import { formatCount } from "../parts/format";
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
  const looking = useLooking({ path: "/pictures", look, order: "changed" });
  const { find, want } = usePieces({ given: entries, keyOf, load });
  return (
    <>
      <div role="search" className="mb-3 flex items-end gap-x-8">
        <TextField
          label="Look for a picture"
          type="search"
          value={looking.typed}
          maxLength={longestSearch}
          placeholder="its name, or that of a cut"
          onChange={(event) => looking.type(event.target.value)}
          className="w-64"
        />
        <p role="status" className="ml-auto text-sm text-soft">
          {looking.busy
            ? "Looking…"
            : look.trim() !== "" && `${hashes.length} of ${formatCount(all, "original")}`}
        </p>
      </div>
      {hashes.length === 0 ? (
        <p className="border-t border-hairline py-10 text-center text-soft">
          No picture is called “{look.trim()}”.{" "}
          <button type="button" className="text-pine underline" onClick={() => looking.type("")}>
            Show all of them
          </button>
        </p>
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
