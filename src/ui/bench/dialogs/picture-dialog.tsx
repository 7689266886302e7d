"use client";

import { Upload } from "lucide-react";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type Catalogue } from "@/contract";
import { glyphList } from "@/core/icons";
import { GlyphDrawing } from "../../icons/glyph-drawing";
import { IconTile } from "../../icons/icon-tile";
import { DialogFrame } from "../../parts/dialog-frame";
import { FilePicker } from "../../parts/files/file-picker";
import { formatBytes, formatSize } from "../../parts/format";
import { acceptedPictures } from "../../parts/files/accepted-files";
import { ask, send } from "../../parts/asking/ask";
import { WordSwitch } from "../../parts/fields/word-switch";
import { LookBar } from "../../parts/windowed/look-bar";
import { AddressLook } from "../../pictures/addresses/address-look";
import type { Choice } from "../pictures/place-picture";

interface Props {
  /** Whether it goes into a line of text. */
  readonly inLine: boolean;
  readonly onClose: () => void;
  readonly onChoose: (choice: Choice) => Promise<void>;
}

/** Choosing a picture for a cell: an original, a cut or loop that is ready, one from elsewhere, or a new one. */
export function PictureDialog({ inLine, onClose, onChoose }: Props) {
  return (
    <DialogFrame
      title="Place a picture"
      description={`An original is cut to ${inLine ? "the height of the line's text" : "fit the cell"}; its crop, frame and exact size are set afterwards.`}
      onClose={onClose}
      // As high before its list has come as after it: nothing moves away from under a click.
      className="flex h-[620px] w-[760px] flex-col"
    >
      <Chooser inLine={inLine} onChoose={onChoose} />
    </DialogFrame>
  );
}

type Shelf = "drawn" | "originals" | "cuts" | "elsewhere";

const shelves: Partial<Record<Shelf, string>> = {
  originals: "Originals",
  cuts: "Cuts and loops",
  elsewhere: "An address elsewhere",
};

/** Drawn icons are for lines of text: before a number, before an address. */
const shelvesInLine: typeof shelves = { drawn: "Drawn icons", ...shelves };

/** Letters closer together than this are looked for at once; ms. */
const gatherFor = 150;

/** Whether there is more than is shown, and how much was found. */
function saysOf({ entries, found }: Catalogue, shelf: Shelf, look: string): string | null {
  const [shown, all] = [entries.length.toLocaleString("en"), found.toLocaleString("en")];
  if (found > entries.length)
    return shelf === "cuts" ? `Of the newest ${shown} of ${all} originals` : `The newest ${shown} of ${all}`;
  return look.trim() ? (found === 1 ? "1 original" : `${all} originals`) : null;
}

interface TileProps {
  readonly picture: ReactNode;
  readonly name: string;
  readonly facts: string;
  readonly onChoose: () => void;
}

function Tile({ picture, name, facts, onChoose }: TileProps) {
  return (
    <li>
      <button
        type="button"
        onClick={onChoose}
        className="w-full rounded-sm border border-hairline p-2 text-left hover:border-pine"
      >
        {picture}
        <span className="mt-1 block truncate text-sm">{name}</span>
        <span className="block truncate text-xs text-soft">{facts}</span>
      </button>
    </li>
  );
}

function Chooser({ inLine, onChoose }: Pick<Props, "inLine" | "onChoose">) {
  const [shelf, setShelf] = useState<Shelf>(inLine ? "drawn" : "originals");
  const [catalogue, setCatalogue] = useState<Catalogue | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const upload = useRef<AbortController | null>(null);

  const [look, setLook] = useState("");

  useEffect(() => () => upload.current?.abort(), []);

  useEffect(() => {
    let current = true;
    const timer = setTimeout(
      () => {
        ask(endpoints.listPictures, { query: look.trim() ? { look: look.trim() } : {} }).then(
          (found) => current && setCatalogue(found),
          (error: Error) => current && setProblem(error.message),
        );
      },
      look === "" ? 0 : gatherFor,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [look]);

  const attempt = async (action: () => Promise<void>): Promise<void> => {
    setProblem(null);
    try {
      await action();
    } catch (error) {
      setProblem((error as Error).message);
    }
    setProgress(null);
  };

  const take = (file: File | undefined): void => {
    if (!file) return;
    const { signal } = (upload.current = new AbortController());
    setProgress(0);
    void attempt(async () => {
      const { originals, refused, notes } = await send(endpoints.addPictures, {
        file,
        onProgress: setProgress,
        signal,
      });
      const [original] = originals;
      if (!original) throw new Error(refused[0]?.message ?? "There was no picture in it.");
      await onChoose({ kind: "original", original });
      for (const note of notes) toast(note);
    });
  };

  const cuts = catalogue && [
    ...catalogue.loops,
    ...catalogue.entries.flatMap((entry) => entry.cuts.filter(({ loop }) => !loop)),
  ];

  return (
    <div
      className="flex min-h-0 flex-col"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        take(event.dataTransfer.files[0]);
      }}
    >
      <div className="my-3 flex items-center gap-3 border border-dashed border-soft px-3 py-3">
        <FilePicker look="primary" accept={acceptedPictures} onPick={([file]) => take(file)}>
          <Upload size={15} aria-hidden />
          Upload a picture
        </FilePicker>
        {progress === null ? (
          <span className="text-soft">or drop one here</span>
        ) : (
          <>
            <progress value={progress} max={1} aria-label="Upload" className="w-40 accent-pine" />
            <button type="button" className="text-pine underline" onClick={() => upload.current?.abort()}>
              Stop
            </button>
          </>
        )}
      </div>
      {problem && (
        <p role="alert" className="mb-2 text-rowan">
          {problem}
        </p>
      )}
      <div className="mb-3">
        <WordSwitch
          label="Where from"
          value={shelf}
          choices={inLine ? shelvesInLine : shelves}
          onChange={setShelf}
        />
      </div>
      {shelf === "elsewhere" && (
        <AddressLook onUse={(report) => void attempt(() => onChoose({ kind: "foreign", report }))} />
      )}
      {(shelf === "originals" || shelf === "cuts") && (
        <LookBar
          label="Look for a picture"
          placeholder="its name, or that of a cut"
          look={look}
          onLook={setLook}
          says={catalogue && saysOf(catalogue, shelf, look)}
        />
      )}
      {shelf === "originals" && catalogue?.entries.length === 0 && (
        <p className="text-soft">
          {look.trim() ? `No picture is called “${look.trim()}”.` : "No picture has been uploaded yet."}
        </p>
      )}
      {shelf === "cuts" && cuts?.length === 0 && (
        <p className="text-soft">
          {look.trim()
            ? `No cut is called “${look.trim()}”.`
            : "Nothing has been cut yet: place an original, and it is cut to fit."}
        </p>
      )}
      <ul
        className={`grid min-h-0 content-start gap-3 overflow-y-auto pr-1 ${shelf === "drawn" ? "grid-cols-6" : "grid-cols-4"}`}
      >
        {shelf === "drawn" &&
          glyphList.map(({ name, label }) => (
            <IconTile
              key={name}
              label={label}
              onChoose={() => void attempt(() => onChoose({ kind: "glyph", glyph: name }))}
            >
              <GlyphDrawing name={name} size={24} />
            </IconTile>
          ))}
        {shelf === "originals" &&
          catalogue?.entries.map(({ original }) => (
            <Tile
              key={original.hash}
              name={original.name}
              facts={`${formatSize(original.width, original.height)} · ${formatBytes(original.bytes)}`}
              onChoose={() => void attempt(() => onChoose({ kind: "original", original }))}
              picture={
                <img
                  src={addressOf(endpoints.pictureThumbnail, { hash: original.hash })}
                  alt=""
                  className="checkered h-24 w-full object-scale-down"
                  loading="lazy"
                />
              }
            />
          ))}
        {shelf === "cuts" &&
          cuts?.map((cut) => (
            <Tile
              key={cut.source}
              name={cut.fileName}
              facts={`${formatSize(cut.width, cut.height)} · ${formatBytes(cut.bytes)}`}
              onChoose={() => void attempt(() => onChoose({ kind: "cut", cut }))}
              picture={
                <img
                  src={cut.source}
                  alt=""
                  className="checkered h-24 w-full object-scale-down"
                  loading="lazy"
                />
              }
            />
          ))}
      </ul>
    </div>
  );
}
