"use client";

/** Malthouse Mail's preferences: signatures that are pasted into a box, and which goes under what. Nothing holds until it is kept. */
import { useRef, useState } from "react";
import { standIns } from "@/core/clients";
import { deskClients, type SignatureChoice } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { useLosing } from "../parts/lost-changes";
import { RichBox, writtenIn } from "../parts/rich-box";
import { tellRehearsal } from "../parts/tell-rehearsal";
import type { SettingsProps } from "../parts/rooms";
import { DelimiterField, PlaceField, UnderField } from "../parts/under-fields";
import { useDeskSettings, type SettingsTools } from "../parts/use-desk-settings";

const { standIn } = deskClients.malthouse;
const limit = standIns[standIn].signatureLimit ?? 0;
const act = "text-(--mm-act) underline";

function Under({ tools, choice }: { tools: SettingsTools; choice: SignatureChoice }) {
  const same = { choice, put: tools.putUnder } as const;
  const under = {
    ...same,
    held: tools.signatures,
    quiet: true,
    none: "none",
    look: "mm-field",
    className: "w-40",
  };
  const { address } = choice;
  return (
    <div className="mt-2 border-t border-(--mm-edge) pt-2">
      <p className="text-sm font-medium">{address}</p>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2 text-sm">
        <span className="flex items-center gap-2">
          new letters
          <UnderField {...under} field="underNew" label={`Signature under new letters of ${address}`} />
        </span>
        <span className="flex items-center gap-2">
          answers
          <UnderField {...under} field="underAnswers" label={`Signature under answers of ${address}`} />
        </span>
        <PlaceField {...same} label="over the quoted text" />
        <DelimiterField {...same} label="with the line “-- ” before it" />
      </div>
    </div>
  );
}

/** What goes under the letters of the first address, once it is kept. */
function keptSays({ choices, signatures }: SettingsTools): string {
  const [first] = choices;
  const named = (id: string | null): string | undefined => signatures.find((each) => each.id === id)?.name;
  const [fresh, answers] = [named(first?.underNew ?? null), named(first?.underAnswers ?? null)];
  if (!fresh && !answers) return "Kept. No signature goes under any letter yet: choose one below.";
  if (fresh && answers === fresh) return `Kept. “${fresh}” goes under every letter.`;
  return `Kept. ${fresh ? `“${fresh}” goes under every new letter` : "New letters have none"}, and ${answers ? `“${answers}” under answers` : "answers have none"}.`;
}

export function MalthouseSettings({ desk }: SettingsProps) {
  const box = useRef<HTMLDivElement>(null);
  const tools = useDeskSettings(desk, "Signature");
  const [said, setSaid] = useState("");
  const { signatures, chosen, add, change } = tools;
  useLosing("malthouse", tools.changed);
  const length = chosen?.html.length ?? 0;
  const keep = async (): Promise<void> => {
    setSaid("");
    if (await tools.keep()) setSaid(keptSays(tools));
  };
  return (
    <>
      <h1 className="text-2xl font-bold">Preferences</h1>
      <p className="mb-2 mt-4 font-semibold">What goes under your letters</p>
      <div className="flex flex-wrap items-end gap-3">
        <ChoiceField
          label="Which one"
          quiet
          look="mm-field"
          className="w-52"
          value={chosen?.id ?? null}
          choices={Object.fromEntries(signatures.map(({ id, name }) => [id, name]))}
          onChange={tools.choose}
        />
        {chosen && (
          <input
            aria-label="Its name"
            className="mm-field max-w-52"
            maxLength={80}
            value={chosen.name}
            onChange={(event) => change(chosen.id, { name: event.target.value })}
          />
        )}
        <button type="button" className={act} onClick={() => add("Signature")}>
          Another one
        </button>
        {chosen && (
          <>
            <button type="button" className={act} onClick={() => tools.duplicate(chosen.id)}>
              A copy of it
            </button>
            <button type="button" className={act} onClick={() => tools.takeOut(chosen.id)}>
              Take it out
            </button>
          </>
        )}
      </div>
      {chosen && (
        <RichBox
          key={chosen.id}
          label="What goes under your letters"
          box={box}
          initial={chosen.html}
          standIn={standIn}
          onPaste={() => tellRehearsal(desk, "pasted")}
          onChange={() => {
            setSaid("");
            change(chosen.id, { html: writtenIn(box.current) });
          }}
          className="mt-2 min-h-48"
        />
      )}
      {tools.choices.map((choice) => (
        <Under key={choice.address} tools={tools} choice={choice} />
      ))}
      <div className="mt-4 flex items-center gap-4">
        <button type="button" className="mm-button" disabled={tools.busy} onClick={() => void keep()}>
          Keep it
        </button>
        <p
          role="status"
          className={`min-h-5 min-w-0 flex-1 ${tools.problem ? "text-(--mm-wrong)" : "text-(--mm-soft)"}`}
        >
          {tools.problem ?? (tools.changed ? "Not kept yet." : said)}
        </p>
        <span
          className={`text-sm ${length > limit ? "font-semibold text-(--mm-wrong)" : "text-(--mm-soft)"}`}
        >
          {length.toLocaleString("en")} of {limit.toLocaleString("en")} characters
        </span>
      </div>
    </>
  );
}
