"use client";

/** Sluice: signatures by name, each in an archive that the program names itself. */
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { HeldSignature } from "@/core/desks";
import { HeldView } from "../parts/held-view";
import type { SettingsProps } from "../parts/rooms";
import { DelimiterField, PlaceField, UnderField } from "../parts/under-fields";
import { useHeldFiles, type HeldFiles } from "../parts/use-held-files";
import { SluiceDisk } from "./disk";

function Mark({ files, signature }: { files: HeldFiles; signature: HeldSignature }) {
  const [name, setName] = useState(signature.name);
  return (
    <li className="border-t border-(--sl-rule) py-3">
      <form
        className="flex flex-wrap items-center gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void files.change({ kind: "rename", id: signature.id, name });
        }}
      >
        <input
          aria-label={`Name of ${signature.name}`}
          className="desk-field w-44"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="underline" disabled={files.busy || name === signature.name}>
          Call it so
        </button>
        <button
          type="button"
          className="underline"
          onClick={() => void files.change({ kind: "duplicate", id: signature.id })}
        >
          Make another like it
        </button>
        <button
          type="button"
          className="underline"
          onClick={() => void files.change({ kind: "take-out", id: signature.id })}
        >
          Rub it out
        </button>
      </form>
      {signature.complaints.map((complaint) => (
        <p key={complaint} role="note" className="text-(--sl-wrong)">
          {complaint}
        </p>
      ))}
      <div className="mt-2">
        <HeldView desk={files.desk} signature={signature} width={560} highest={240} />
      </div>
    </li>
  );
}

export function SluiceMarks({ desk: first }: SettingsProps) {
  const files = useHeldFiles(first);
  const router = useRouter();
  const { desk } = files;
  const [name, setName] = useState("");
  return (
    <div className="grid grid-cols-[minmax(0,600px)_minmax(0,1fr)] gap-10">
      <section aria-label="My marks">
        <h1 className="text-xl">My marks</h1>
        <form
          className="flex items-center gap-3 py-3"
          onSubmit={(event) => {
            event.preventDefault();
            void files.change({ kind: "make", name: name.trim() || "Mark" }).then((made) => {
              if (made) setName("");
              router.refresh();
            });
          }}
        >
          <input
            aria-label="Name of a new mark"
            placeholder="name of a new mark"
            className="desk-field w-52"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <button type="submit" className="sluice-act" disabled={files.busy}>
            Make an empty one
          </button>
        </form>
        {files.problem && (
          <p role="alert" className="text-(--sl-wrong)">
            {files.problem}
          </p>
        )}
        {desk.held.length === 0 ? (
          <p className="text-(--sl-soft)">No mark was made yet.</p>
        ) : (
          <ul>
            {desk.held.map((signature) => (
              <Mark key={`${signature.id} ${signature.name}`} files={files} signature={signature} />
            ))}
          </ul>
        )}
      </section>
      <div className="space-y-6">
        <SluiceDisk desk={desk} />
        <section aria-label="Where marks are set">
          <h2 className="text-lg">Where they are set</h2>
          {desk.choices.map((choice) => {
            const same = { choice, put: files.putUnder } as const;
            const under = { ...same, held: desk.held, none: "none", look: "desk-field" };
            return (
              <fieldset key={choice.address} className="space-y-2 border-t border-(--sl-rule) py-2">
                <legend className="float-left w-full break-all text-sm">{choice.address}</legend>
                <UnderField {...under} field="underNew" label="on new sheets" />
                <UnderField {...under} field="underAnswers" label="on replies" />
                <PlaceField {...same} label="before what is repeated" />
                <DelimiterField {...same} label="set apart by “-- ”" />
              </fieldset>
            );
          })}
        </section>
      </div>
    </div>
  );
}
