"use client";

import { FolderUp, Upload } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { endpoints, type FoundPeople, type PeopleLook, type PersonPortrait } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { buttonClass } from "../../parts/button";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { formatCount } from "../../parts/format";
import { StepButtons } from "../../parts/steps/step-buttons";
import { NothingFound } from "../../parts/windowed/look-bar";
import { usePieces } from "../../parts/windowed/use-pieces";
import { WindowedList } from "../../parts/windowed/windowed-list";
import { useDirectorySteps } from "../directory-steps";
import { PeopleLookBar } from "../people-look-bar";
import { useLookingForPeople } from "../use-looking-for-people";
import { BringPhotos } from "./bring-photos";
import { handPhotographs, photographsOf, useHandedPhotographs, type Photograph } from "./photographs";
import { PortraitTile } from "./portrait-tile";

interface Props {
  readonly found: FoundPeople;
  readonly look: PeopleLook;
  /** The first of those that are found. */
  readonly people: readonly PersonPortrait[];
  /** How many people have one. */
  readonly portraits: number;
}

/** People in a row of the sheet. */
const inRow = 6;

/** What photographs come as: files, and archives of them. */
const accepted = "image/*,.zip,application/zip";

const keyOf = ({ id }: PersonPortrait): string => id;
const load = async (ids: readonly string[]): Promise<readonly PersonPortrait[]> =>
  (await ask(endpoints.portraitRows, { body: { ids: [...ids] } })).people;

/** All portraits on one sheet, so that they become a family; and a folder of photographs that is matched to people. */
export function PortraitsPage({ found, look, people, portraits }: Props) {
  const router = useRouter();
  const [chosen, setChosen] = useState<readonly Photograph[] | null>(null);
  const handed = useHandedPhotographs();
  const photos = chosen ?? handed;
  const bring = useCallback((files: readonly File[]) => setChosen(photographsOf(files)), []);
  const letGo = (): void => {
    setChosen(null);
    handPhotographs(null);
  };
  const refresh = (): void => router.refresh();
  const steps = useDirectorySteps(refresh);
  const { find, want, put } = usePieces({ given: people, keyOf, load });
  const looking = useLookingForPeople("/people/portraits", look);
  const rows = useMemo(
    () =>
      new Map(
        Array.from({ length: Math.ceil(found.ids.length / inRow) }, (_unused, row) => {
          const ids = found.ids.slice(row * inRow, (row + 1) * inRow);
          return [ids[0] ?? "", ids] as const;
        }),
      ),
    [found.ids],
  );
  // The same for the same rows: whoever is told of what is in view draws anew when it is another.
  const onShown = useCallback(
    (keys: readonly string[]) => want(keys.flatMap((key) => rows.get(key) ?? [])),
    [want, rows],
  );
  const { over, handlers } = useFileDrop(bring);
  return (
    <main
      className={`mx-auto max-w-[1240px] px-5 pb-10 ${over ? "outline-2 -outline-offset-4 outline-pine" : ""}`}
      {...handlers}
    >
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Portraits</h1>
        <p className="pb-1.5 text-soft">
          {portraits.toLocaleString("en")} of {formatCount(found.all, "person", "people")}
        </p>
        <div className="mb-1 ml-auto flex flex-wrap items-center gap-2">
          <StepButtons {...steps} />
          <Link href="/people" prefetch={false} className={buttonClass()}>
            All people
          </Link>
          <FilePicker accept={accepted} multiple onPick={bring}>
            <Upload size={16} aria-hidden />
            Photographs or a zip
          </FilePicker>
          <FilePicker look="primary" folder onPick={bring}>
            <FolderUp size={16} aria-hidden />A folder of photographs
          </FilePicker>
        </div>
      </div>
      <PeopleLookBar {...{ looking, found }} />
      <p className="pb-3 pt-2 text-xs text-soft">
        Drag a portrait under its frame, or move it by the arrow keys; plus and minus make it closer or wider.
        What is dropped here is matched to people by name and mail address.
      </p>
      {found.ids.length === 0 ? (
        <NothingFound says="Nobody is found." onShowAll={looking.showAll} />
      ) : (
        <WindowedList
          label="Portraits"
          keys={[...rows.keys()]}
          columns={1}
          estimate={190}
          gap={16}
          onShown={onShown}
          item={(key) => (
            <ul className="grid grid-cols-4 gap-x-4 lg:grid-cols-6">
              {(rows.get(key) ?? []).map((id) => {
                const of = find(id);
                return of ? (
                  <PortraitTile key={id} of={of} onMoved={put} onChanged={refresh} />
                ) : (
                  <li key={id} role="status" aria-label="On its way" className="h-40" />
                );
              })}
            </ul>
          )}
        />
      )}
      {photos && (
        <BringPhotos
          photos={photos}
          onClose={letGo}
          onKept={() => {
            letGo();
            refresh();
          }}
        />
      )}
    </main>
  );
}
