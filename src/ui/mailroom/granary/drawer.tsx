"use client";

/** Granary's drawer: the files of its folder of signatures, what it says against them, and which closes which leaf. */
import { useState } from "react";
import type { HeldSignature, SignatureChoice } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { formatCount } from "../../parts/format";
import { HeldView } from "../parts/held-view";
import type { SettingsProps } from "../parts/rooms";
import { DelimiterField, PlaceField, UnderField } from "../parts/under-fields";
import { useHeldFiles, type HeldFiles } from "../parts/use-held-files";

/** How many pictures a signature has with it, in words. */
const picturesSaid = ({ pictures }: HeldSignature): string => {
  const count = Object.keys(pictures).length;
  return count === 0 ? "none beside it" : `${formatCount(count, "picture")} beside it`;
};

function Held({ files, signature }: { files: HeldFiles; signature: HeldSignature }) {
  const [name, setName] = useState(signature.name);
  const [asked, setAsked] = useState(false);
  return (
    <>
      <tr className="granary-row align-top">
        <td className="py-2">{signature.id}</td>
        <td className="py-2">{picturesSaid(signature)}</td>
        <td className="py-2">
          <form
            className="flex flex-wrap items-center gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              void files.change({ kind: "rename", id: signature.id, name });
            }}
          >
            <input
              aria-label={`New name of ${signature.id}`}
              className="desk-field w-48"
              maxLength={80}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
            <button type="submit" className="granary-word" disabled={files.busy || name === signature.name}>
              Rename
            </button>
            <button
              type="button"
              className="granary-word"
              disabled={files.busy}
              onClick={() => void files.change({ kind: "duplicate", id: signature.id })}
            >
              Copy
            </button>
            {asked ? (
              <span role="alertdialog" aria-label="Take it out?" className="flex gap-3">
                Out of the drawer, files and all?
                <button
                  type="button"
                  className="granary-word font-bold"
                  onClick={() => void files.change({ kind: "take-out", id: signature.id })}
                >
                  Take it out
                </button>
                <button type="button" className="granary-word" onClick={() => setAsked(false)}>
                  Leave it
                </button>
              </span>
            ) : (
              <button type="button" className="granary-word" onClick={() => setAsked(true)}>
                Take out
              </button>
            )}
          </form>
          {signature.complaints.map((complaint) => (
            <p key={complaint} className="mt-1 text-(--gr-wrong)">
              {complaint}
            </p>
          ))}
        </td>
      </tr>
      <tr className="granary-row">
        <td colSpan={3} className="bg-white p-2">
          <HeldView desk={files.desk} signature={signature} width={720} highest={260} />
        </td>
      </tr>
    </>
  );
}

function Closing({ files, choice }: { files: HeldFiles; choice: SignatureChoice }) {
  const same = { choice, put: files.putUnder } as const;
  const under = { ...same, held: files.desk.held, quiet: true, none: "nothing", look: "desk-field" };
  const { address } = choice;
  return (
    <tr className="granary-row">
      <th scope="row" className="text-left font-normal">
        {address}
      </th>
      <td>
        <UnderField {...under} field="underNew" label={`Fresh leaves of ${address} close with`} />
      </td>
      <td>
        <UnderField {...under} field="underAnswers" label={`Leaves in return of ${address} close with`} />
      </td>
      <td>
        <PlaceField {...same} label="above what is copied in" />
      </td>
      <td>
        <DelimiterField {...same} label="after a “-- ”" />
      </td>
    </tr>
  );
}

export function GranaryDrawer({ desk: first, signatures }: SettingsProps) {
  const files = useHeldFiles(first);
  const { desk } = files;
  const drop = useFileDrop((dropped) => void files.place(dropped));
  const [said, setSaid] = useState("");
  return (
    <div {...drop.handlers} className={drop.over ? "outline-2 outline-dashed outline-(--gr-rule)" : ""}>
      <h1 className="pt-4 text-2xl">The drawer</h1>
      <p className="max-w-3xl text-(--gr-soft)">
        Granary’s folder of signatures. It shows what lies in it: a page with its plain text, its rich text
        and the folder of its pictures beside it. Drop a kit here, or its zip.
      </p>
      <div className="flex flex-wrap items-center gap-4 py-3">
        <FilePicker multiple onPick={(picked) => void files.place(picked)} disabled={files.busy}>
          Put files in
        </FilePicker>
        <FilePicker folder onPick={(picked) => void files.place(picked)} disabled={files.busy}>
          Put a folder in
        </FilePicker>
        {signatures.length > 0 && (
          <ChoiceField
            label="Place the kit of"
            quiet
            look="desk-field"
            className="w-64"
            none="place the kit of a signature"
            value={null}
            choices={Object.fromEntries(signatures.map(({ id, name }) => [id, name]))}
            onChange={(id) => {
              setSaid("");
              void files.placeKit(id).then((placed) => {
                const name = signatures.find((each) => each.id === id)?.name ?? "";
                if (placed) setSaid(`The kit of ${name} lies in the drawer.`);
              });
            }}
          />
        )}
        <p role="status" className="text-(--gr-soft)">
          {said}
        </p>
      </div>
      {files.problem && (
        <p role="alert" className="pb-3 text-(--gr-wrong)">
          {files.problem}
        </p>
      )}
      {desk.held.length === 0 ? (
        <p className="border-y border-(--gr-rule) py-4">The drawer is empty.</p>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="granary-row text-left text-sm text-(--gr-soft)">
              <th scope="col" className="w-52">
                File
              </th>
              <th scope="col" className="w-40">
                Pictures
              </th>
              <th scope="col">Name</th>
            </tr>
          </thead>
          <tbody>
            {desk.held.map((signature) => (
              <Held key={signature.id} files={files} signature={signature} />
            ))}
          </tbody>
        </table>
      )}
      {desk.strays.length > 0 && (
        <p className="pt-2 text-sm text-(--gr-soft)">
          Also here, and in no signature: {desk.strays.slice(0, 8).join(", ")}
          {desk.strays.length > 8 && ` and ${desk.strays.length - 8} more`}
        </p>
      )}
      <h2 className="pb-1 pt-6 text-xl">What closes a leaf</h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="granary-row text-left text-sm text-(--gr-soft)">
            <th scope="col">Written by</th>
            <th scope="col" className="w-48">
              Fresh leaves
            </th>
            <th scope="col" className="w-48">
              Leaves in return
            </th>
            <th scope="col" className="w-48">
              Where
            </th>
            <th scope="col" className="w-32">
              Set off
            </th>
          </tr>
        </thead>
        <tbody>
          {desk.choices.map((choice) => (
            <Closing key={choice.address} files={files} choice={choice} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
