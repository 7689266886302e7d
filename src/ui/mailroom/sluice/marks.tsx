"use client";

/** Sluice: signatures by name, each in an archive that the program names itself. */
import { useRouter } from "next/navigation";
import { useState } from "react";
import { standIns } from "@/core/clients";
import { deskClients, type HeldSignature } from "@/core/desks";
import { areaOf } from "../../parts/drawing/area-of";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { ChoiceField } from "../../parts/fields/choice-field";
import { CheckField } from "../../parts/fields/check-field";
import { heldHtml } from "../parts/held-html";
import type { SettingsProps } from "../parts/rooms";
import { useHeldFiles, type HeldFiles } from "../parts/use-held-files";
import { SluiceDisk } from "./disk";

const standIn = standIns[deskClients.sluice.standIn];

function Mark({ files, signature }: { files: HeldFiles; signature: HeldSignature }) {
  const [name, setName] = useState(signature.name);
  const html = heldHtml(files.desk, signature, standIn.id);
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
          className="sluice-field w-44"
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
      <div className="mt-2 bg-white">
        <SignatureFrame
          html={html}
          label={`${signature.name} as Sluice draws it`}
          width={560}
          highest={240}
          area={areaOf(standIn, "light", html)}
        />
      </div>
    </li>
  );
}

export function SluiceMarks({ desk: first }: SettingsProps) {
  const files = useHeldFiles(first);
  const router = useRouter();
  const { desk } = files;
  const [name, setName] = useState("");
  const names = { "": "none", ...Object.fromEntries(desk.held.map(({ id, name: each }) => [id, each])) };
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
            className="sluice-field w-52"
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
          {desk.choices.map(({ address, underNew, underAnswers, place, delimiter }) => (
            <div key={address} className="space-y-2 border-t border-(--sl-rule) py-2">
              <p className="break-all text-sm">{address}</p>
              <ChoiceField
                label="on new sheets"
                look="sluice-field"
                value={underNew ?? ""}
                choices={names}
                onChange={(id) => void files.putUnder(address, { underNew: id === "" ? null : id })}
              />
              <ChoiceField
                label="on replies"
                look="sluice-field"
                value={underAnswers ?? ""}
                choices={names}
                onChange={(id) => void files.putUnder(address, { underAnswers: id === "" ? null : id })}
              />
              <CheckField
                label="before what is repeated"
                checked={place === "above"}
                onChange={(above) => void files.putUnder(address, { place: above ? "above" : "below" })}
              />
              <CheckField
                label="set apart by “-- ”"
                checked={delimiter}
                onChange={(set) => void files.putUnder(address, { delimiter: set })}
              />
            </div>
          ))}
        </section>
      </div>
    </div>
  );
}
