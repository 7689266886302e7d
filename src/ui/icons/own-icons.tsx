"use client";

import { Trash2, Upload } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import type { AddedIcons, OwnIcon } from "@/server/icons/icons";
import { FilePicker } from "../parts/file-picker";
import { formatCount } from "../parts/format";
import { IconButton } from "../parts/icon-button";
import { request } from "../parts/request";
import { acceptedUploads, uploadPicture } from "../parts/upload-picture";

/** Icons of the user's own, pack by pack: chosen, added from files or a zip, described and taken out. */
export function OwnIcons({ onChoose }: { onChoose: (icon: OwnIcon) => void }) {
  const [icons, setIcons] = useState<readonly OwnIcon[] | null>(null);
  const [pack, setPack] = useState("My icons");
  const [note, setNote] = useState("");
  const [part, setPart] = useState<number | null>(null);
  const [over, setOver] = useState(false);

  const load = useCallback(
    () =>
      request<{ icons: readonly OwnIcon[] }>("GET", "/api/icons").then(
        (answer) => setIcons(answer.icons),
        (error: Error) => void toast.error(error.message),
      ),
    [],
  );
  useEffect(() => {
    void load();
  }, [load]);

  const add = async (files: readonly File[]): Promise<void> => {
    const path = `/api/icons?${new URLSearchParams({ pack: pack.trim() || "My icons", note }).toString()}`;
    for (const file of files)
      try {
        setPart(0);
        const added = (await uploadPicture(file, setPart, { path })) as unknown as AddedIcons;
        const said = [
          `${formatCount(added.icons.length, "icon")} from ${file.name}`,
          added.leftOut > 0 ? `${formatCount(added.leftOut, "file")} left out for a better one` : "",
          added.refused.length > 0 ? `not used: ${added.refused.map(({ name }) => name).join(", ")}` : "",
        ];
        toast(`${said.filter((each) => each).join("; ")}.`);
      } catch (error) {
        toast.error((error as Error).message);
      }
    setPart(null);
    await load();
  };

  const remove = async (icon: OwnIcon): Promise<void> => {
    try {
      await request("DELETE", `/api/icons/${icon.hash}`);
      await load();
      toast(`${icon.name} is out of the pack. Rows that have it keep it.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const packs = [...new Set((icons ?? []).map((icon) => icon.pack))];
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void add([...event.dataTransfer.files]);
      }}
      className={over ? "outline-2 outline-dashed outline-pine" : ""}
    >
      {packs.map((name) => (
        <section key={name} className="mb-3">
          <h3 className="mb-1 text-xs text-soft">{name}</h3>
          <ul className="grid grid-cols-4 gap-1.5">
            {icons!
              .filter((icon) => icon.pack === name)
              .map((icon) => (
                <li key={icon.hash} className="relative border border-hairline">
                  <button
                    type="button"
                    onClick={() => onChoose(icon)}
                    title={icon.note ? `From: ${icon.note}` : "Where it came from is not said"}
                    className="block w-full p-1.5 text-left hover:bg-kelp"
                  >
                    <span className="flex">
                      {/* On light and on dark, as mail is read. */}
                      {["bg-white", "bg-[#1b1b1b]"].map((canvas) => (
                        <span
                          key={canvas}
                          className={`flex h-10 flex-1 items-center justify-center ${canvas}`}
                        >
                          <img
                            src={`/api/pictures/${icon.hash}/thumbnail`}
                            alt=""
                            className="h-6 max-w-6 object-contain"
                          />
                        </span>
                      ))}
                    </span>
                    <span className="mt-1 block truncate text-xs">{icon.name}</span>
                  </button>
                  <IconButton
                    label={`Take ${icon.name} out of the pack`}
                    className="absolute bottom-0.5 right-0.5 h-6"
                    onClick={() => void remove(icon)}
                  >
                    <Trash2 size={12} aria-hidden />
                  </IconButton>
                </li>
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
      <div className="grid grid-cols-2 gap-3">
        <label className="text-xs text-soft">
          Pack
          <input
            value={pack}
            maxLength={60}
            onChange={(event) => setPack(event.target.value)}
            className="block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
          />
        </label>
        <label className="text-xs text-soft">
          Where they came from
          <input
            value={note}
            maxLength={300}
            placeholder="the network’s own press page"
            onChange={(event) => setNote(event.target.value)}
            className="block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
          />
        </label>
      </div>
      <p className="my-2 text-xs text-soft">
        The mark of a network belongs to its owner: use it as they allow, and unchanged where they ask for
        that.
      </p>
      <FilePicker accept={acceptedUploads} multiple onPick={(files) => void add(files)}>
        <Upload size={15} aria-hidden />
        {part === null ? "Add files or a zip" : `Sending… ${Math.round(part * 100)} %`}
      </FilePicker>
    </div>
  );
}
