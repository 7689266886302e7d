"use client";

/** Sluice's files as they lie on the disk, whether the program is open or not: taken away, and others put in their place. */
import { useRouter } from "next/navigation";
import { useState } from "react";
import { addressOf, endpoints, type Desk } from "@/contract";
import { base64 } from "@/core/mail";
import { ask } from "../../parts/asking/ask";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";

export function SluiceDisk({ desk }: { desk: Desk }) {
  const router = useRouter();
  const [said, setSaid] = useState<{ text: string; good: boolean } | null>(null);
  const params = { person: desk.person.id, client: desk.client };
  const put = async (file: File | undefined, path: string): Promise<void> => {
    if (!file) return;
    try {
      const bytes = base64(new Uint8Array(await file.arrayBuffer()));
      await ask(endpoints.placeFiles, { params, body: { files: [{ path, base64: bytes }] } });
      setSaid({ text: `${file.name} lies in place of ${path}.`, good: true });
      router.refresh();
    } catch (error) {
      setSaid({ text: (error as Error).message, good: false });
    }
  };
  const drop = useFileDrop(([file]) => void put(file, file?.name ?? ""));
  return (
    <section
      aria-label="Its files on the disk"
      {...drop.handlers}
      className={`sluice-disk ${drop.over ? "outline-2 outline-dashed" : ""}`}
    >
      <h2 className="text-lg">Its files on the disk</h2>
      {desk.held.length === 0 ? (
        <p>None: the program makes one for each signature that is made in it.</p>
      ) : (
        <ul>
          {desk.held.map(({ id, name }) => (
            <li key={id} className="flex flex-wrap items-center gap-3 border-t border-(--sl-rule) py-2">
              <span className="font-mono text-sm">{id}</span>
              <span>{name}</span>
              <a
                className="ml-auto underline"
                download={id}
                href={addressOf(endpoints.deskFile, params, { path: id })}
              >
                Take it away
              </a>
              <FilePicker label={`Put a file in place of ${name}`} onPick={([file]) => void put(file, id)}>
                Put one in its place
              </FilePicker>
            </li>
          ))}
        </ul>
      )}
      <p role="status" className={said && !said.good ? "text-(--sl-wrong)" : ""}>
        {said?.text}
      </p>
    </section>
  );
}
