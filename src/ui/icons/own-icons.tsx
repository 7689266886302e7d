"use client";

import { Upload, X } from "lucide-react";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints, type AddedIcons, type OwnIcon } from "@/contract";
import { FilePicker } from "../parts/files/file-picker";
import { formatCount } from "../parts/format";
import { IconButton } from "../parts/icon-button";
import { acceptedUploads } from "../parts/files/accepted-files";
import { send } from "../parts/asking/ask";
import { useFileDrop } from "../parts/files/use-file-drop";
import { IconTile } from "./icon-tile";
import { IconMark } from "./network-mark";
import { OwnIconTile } from "./own-icon-tile";
import type { OwnIconList } from "./use-own-icons";
import { TextField } from "../parts/fields/text-field";

interface Props {
  readonly own: OwnIconList;
  readonly onChoose: (icon: OwnIcon) => void;
}

/** What became of an upload. */
const saidOf = ({ icons, leftOut, refused }: AddedIcons, file: string): string =>
  [
    `${formatCount(icons.length, "icon")} from ${file}`,
    leftOut > 0 ? `${formatCount(leftOut, "file")} left out for a better one` : "",
    refused.length > 0 ? `not used: ${refused.map(({ name }) => name).join(", ")}` : "",
  ]
    .filter((part) => part)
    .join("; ");

/** Icons of the user's own, pack by pack: chosen, added from files or a zip, described and taken out. */
export function OwnIcons({ own: { icons, pictures, reload }, onChoose }: Props) {
  const [pack, setPack] = useState("My icons");
  const [note, setNote] = useState("");
  const [part, setPart] = useState<number | null>(null);
  const stopper = useRef<AbortController | null>(null);

  const add = async (files: readonly File[]): Promise<void> => {
    const query = { pack: pack.trim() || "My icons", note };
    const { signal } = (stopper.current = new AbortController());
    for (const file of files) {
      if (signal.aborted) break;
      try {
        setPart(0);
        const added = await send(endpoints.addIcons, { query, file, onProgress: setPart, signal });
        toast(`${saidOf(added, file.name)}.`);
      } catch (error) {
        toast.error((error as Error).message);
      }
    }
    setPart(null);
    await reload();
  };
  const { over, handlers } = useFileDrop((files) => void add(files));

  const packs = [...new Set((icons ?? []).map((icon) => icon.pack))];
  return (
    <section
      aria-label="Your own icons"
      {...handlers}
      className={over ? "outline-2 outline-dashed outline-pine" : ""}
    >
      {packs.map((name) => (
        <section key={name} className="mb-3">
          <h3 className="mb-1 text-xs text-soft">{name}</h3>
          <ul className="grid grid-cols-4 gap-1.5">
            {icons!
              .filter((icon) => icon.pack === name)
              .map((icon) => (
                <OwnIconTile key={icon.hash} icon={icon} onChoose={() => onChoose(icon)} onChanged={reload} />
              ))}
          </ul>
        </section>
      ))}
      {icons?.length === 0 && (
        <p className="mb-3 text-soft">
          None yet. Drop files or the zip of an icon pack here: of each icon the best size is kept, and uneven
          margins do not matter.
        </p>
      )}
      {pictures.length > 0 && (
        <section className="mb-3">
          <h3 className="mb-1 text-xs text-soft">Among your pictures</h3>
          <ul className="grid grid-cols-4 gap-1.5">
            {pictures.map((picture) => (
              <IconTile key={picture.hash} label={picture.name} onChoose={() => onChoose(picture)}>
                <IconMark choice={{ kind: "own", hash: picture.hash }} size={28} />
              </IconTile>
            ))}
          </ul>
        </section>
      )}
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Pack"
          value={pack}
          maxLength={60}
          onChange={(event) => setPack(event.target.value)}
        />
        <TextField
          label="Where they came from"
          value={note}
          maxLength={300}
          placeholder="the network’s own press page"
          onChange={(event) => setNote(event.target.value)}
        />
      </div>
      <p className="my-2 text-xs text-soft">
        The mark of a network belongs to its owner: use it as they allow, and unchanged where they ask for
        that.
      </p>
      <div className="flex items-center gap-2">
        <FilePicker
          accept={acceptedUploads}
          multiple
          disabled={part !== null}
          onPick={(files) => void add(files)}
        >
          <Upload size={15} aria-hidden />
          {part === null ? "Add files or a zip" : `Sending… ${Math.round(part * 100)} %`}
        </FilePicker>
        {part !== null && (
          <IconButton label="Stop sending" onClick={() => stopper.current?.abort()}>
            <X size={15} aria-hidden />
          </IconButton>
        )}
      </div>
    </section>
  );
}
