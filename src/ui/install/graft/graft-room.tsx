"use client";

import { Download, FileInput } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import type { PicturesIn } from "@/core/install-kinds";
import { Button } from "../../parts/button";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { RadioChoice } from "../../parts/fields/radio-choice";
import { TextField } from "../../parts/fields/text-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import type * as graftTools from "./graft-client-file";
import type { ClientFile, Grafting } from "./graft-client-file";

type Tools = typeof graftTools;

interface Props {
  readonly from: Grafting;
  /** Whether what replies hold is put in. */
  readonly short: boolean;
  /** What kind of file to bring, and how it comes to be. */
  readonly about: string;
}

/** Puts the signature into the file that a mail program made itself. */
export function GraftRoom({ from, short, about }: Props) {
  const [brought, setBrought] = useState<{ readonly tools: Tools; readonly file: ClientFile } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [reading, setReading] = useState(false);

  const take = async ([file]: readonly File[]): Promise<void> => {
    if (!file) return;
    setReading(true);
    setTrouble(null);
    try {
      const tools = await import("./graft-client-file");
      try {
        setBrought({ tools, file: await tools.readClientFile(file) });
      } catch (error) {
        setTrouble(`${file.name}: ${tools.troubleOf(error)}`);
      }
    } catch {
      setTrouble("What reads it could not be loaded: look at the connection, and try again.");
    } finally {
      setReading(false);
    }
  };
  const { over, handlers } = useFileDrop((files) => void take(files));

  return (
    <section aria-labelledby="graft" className="mt-6 border-t border-hairline pt-3">
      <h3 id="graft" className="font-serif text-lg">
        Into a file that the program made
      </h3>
      <p className="pb-2 text-soft">{about}</p>
      <div
        {...handlers}
        className={`border border-dashed p-3 ${over ? "border-pine bg-kelp" : "border-soft"}`}
      >
        <div className="flex flex-wrap items-center gap-3">
          <FilePicker disabled={reading} onPick={(files) => void take(files)}>
            <FileInput size={16} aria-hidden />
            {brought ? "Choose another file" : "Choose the file"}
          </FilePicker>
          <span role="status" className="text-sm text-soft">
            {reading
              ? "Reading…"
              : brought
                ? `${brought.file.name}: ${brought.tools.whatItIs(brought.file)}`
                : "Or drop it here. It is read in this page alone."}
          </span>
        </div>
        {trouble !== null && (
          <p role="alert" className="mt-2 text-sm text-rowan">
            {trouble}
          </p>
        )}
      </div>
      {brought && (
        <GraftPlaceChoice
          key={`${brought.file.name}-${brought.file.bytes.length}`}
          tools={brought.tools}
          file={brought.file}
          from={from}
          short={short}
        />
      )}
    </section>
  );
}

interface PlaceProps {
  readonly tools: Tools;
  readonly file: ClientFile;
  readonly from: Grafting;
  readonly short: boolean;
}

const picturesNames: Readonly<Record<PicturesIn, string>> = {
  carried: "Carried along",
  hosted: "At their addresses",
};

/** Which words of the file make room, pointed at or named, and the file as it will be. */
function GraftPlaceChoice({ tools, file, from, short }: PlaceProps) {
  const { lines, form } = file.host;
  const picturesIn = tools.picturesFor(file);
  // A page can hold much else; an archive or a message is the signature.
  const [line, setLine] = useState<number | "all">(form === "page" ? 0 : "all");
  const [words, setWords] = useState("");
  const [pictures, setPictures] = useState<PicturesIn>(picturesIn[0] ?? "hosted");
  const [said, setSaid] = useState<{ readonly text: string; readonly good: boolean } | null>(null);
  const [saving, setSaving] = useState(false);
  const first = useRef<HTMLInputElement>(null);
  // What asked for it is behind it now: keys go on from here.
  useEffect(() => first.current?.focus(), []);

  const named = useMemo(
    () => (words.trim() === "" ? null : tools.placesOf(file, words)),
    [tools, file, words],
  );
  const only = named?.length === 1 ? named[0] : undefined;
  const place = useMemo(
    () => (named === null ? tools.placeOfLine(file, line === "all" ? null : line) : (only ?? null)),
    [tools, file, named, only, line],
  );
  const shownLine = place?.kind === "words" ? place.line : null;
  const drawn = useMemo(() => localPictures(tools.drawnFile(file), from.base), [tools, file, from.base]);
  const result = useMemo(
    () => place && localPictures(tools.drawnResult(file, place, from, short), from.base),
    [tools, file, place, from, short],
  );
  const problem =
    named === null || only
      ? null
      : named.length === 0
        ? "These words do not stand in the file."
        : `These words stand in the file ${named.length} times: point at the ones that are meant.`;

  const choose = (next: number | "all"): void => {
    setWords("");
    setLine(next);
    setSaid(null);
  };
  const save = async (): Promise<void> => {
    if (!place) return;
    setSaving(true);
    try {
      setSaid({ text: await tools.saveGrafted(file, place, from, short, pictures), good: true });
    } catch (error) {
      setSaid({ text: tools.troubleOf(error), good: false });
    } finally {
      setSaving(false);
    }
  };

  return (
    <div className="mt-3 grid gap-x-6 gap-y-4 md:grid-cols-[minmax(0,1fr)_260px]">
      <div className="grid content-start gap-3">
        <figure>
          <figcaption className="pb-1 text-sm text-soft">
            The file as it is. Point at the words that make room.
          </figcaption>
          <div className="border border-hairline bg-canvas p-2">
            <SignatureFrame
              html={drawn}
              label="The file as it is"
              width={560}
              highest={260}
              fit
              area={`html{background:#ffffff}body{padding:4px}${tools.lineOutlines(shownLine)}`}
              onPoint={(element) => {
                const pointed = tools.lineAt(element);
                if (pointed !== null) choose(pointed);
              }}
            />
          </div>
        </figure>
        {result !== null && (
          <figure>
            <figcaption className="pb-1 text-sm text-soft">The file as it will be</figcaption>
            <div className="border border-hairline bg-canvas p-2">
              <SignatureFrame html={result} label="The file as it will be" width={560} highest={320} fit />
            </div>
          </figure>
        )}
      </div>
      <div className="grid content-start gap-3">
        <TextField
          ref={first}
          label="Words that make room"
          placeholder="such as “put it here”"
          value={words}
          problem={problem}
          onChange={(event) => {
            setWords(event.target.value);
            setSaid(null);
          }}
        />
        <fieldset className="min-w-0">
          <legend className="pb-1 text-xs text-soft">Or one of its lines</legend>
          <div className="max-h-48 overflow-y-auto">
            <RadioChoice
              name="graft-line"
              text={form === "page" ? "Everything in the page" : "Everything in it"}
              checked={named === null && line === "all"}
              onChange={() => choose("all")}
            />
            {lines.map((each, index) => (
              <RadioChoice
                key={each.letters[0]?.from ?? index}
                name="graft-line"
                text={each.text}
                checked={named === null ? line === index : only?.kind === "words" && only.line === index}
                onChange={() => choose(index)}
              />
            ))}
          </div>
        </fieldset>
        {picturesIn.length > 1 ? (
          <div>
            <p className="pb-1 text-xs text-soft">Its pictures</p>
            <WordSwitch
              label="Pictures of the graft"
              value={pictures}
              choices={Object.fromEntries(picturesIn.map((each) => [each, picturesNames[each]]))}
              onChange={setPictures}
            />
          </div>
        ) : (
          <p className="text-xs text-soft">
            This kind of file holds no pictures: they stay at their addresses.
          </p>
        )}
        <Button look="primary" disabled={place === null || saving} onClick={() => void save()}>
          <Download size={16} aria-hidden />
          Save it with the signature
        </Button>
        <p role="status" className={`text-sm ${said && !said.good ? "text-rowan" : "text-ink"}`}>
          {said?.text}
        </p>
      </div>
    </div>
  );
}
