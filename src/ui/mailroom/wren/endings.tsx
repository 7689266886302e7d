"use client";

/** Wren's endings: what is pasted out of a letter, or plain text. Every change holds at once. */
import { useCallback, useEffect, useRef, useState } from "react";
import { deskClients } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { CheckField } from "../../parts/fields/check-field";
import { RichBox, writtenIn } from "../parts/rich-box";
import { tellRehearsal } from "../parts/tell-rehearsal";
import type { SettingsProps } from "../parts/rooms";
import { useDeskSettings } from "../parts/use-desk-settings";

/** How long typing rests before it holds; ms. */
const rest = 600;

export function WrenEndings({ desk }: SettingsProps) {
  const tools = useDeskSettings(desk, null);
  const box = useRef<HTMLDivElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const pending = useRef<(() => void) | null>(null);
  /** Counts how often the box was filled from outside. */
  const [filled, setFilled] = useState(0);
  const { chosen, signatures } = tools;

  /** Whether something was typed that does not hold yet. */
  const [typing, setTyping] = useState(false);
  const flush = useCallback((): void => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    pending.current?.();
    pending.current = null;
    setTyping(false);
  }, []);
  // What was typed last holds even when the place, or the window, is left at once.
  useEffect(() => {
    addEventListener("pagehide", flush);
    return () => {
      removeEventListener("pagehide", flush);
      flush();
    };
  }, [flush]);
  const typed = (id: string): void => {
    if (timer.current) clearTimeout(timer.current);
    setTyping(true);
    const html = writtenIn(box.current);
    pending.current = () => tools.change(id, { html });
    timer.current = setTimeout(flush, rest);
  };
  const names = { "": "none", ...Object.fromEntries(signatures.map(({ id, name }) => [id, name])) };
  return (
    <>
      <h1 className="text-lg font-semibold">Ending</h1>
      <p className="text-sm text-(--wr-soft)">
        Copy it out of a letter that you sent to yourself, and paste it here.
      </p>
      <div className="my-2 flex flex-wrap gap-x-4 gap-y-1">
        {signatures.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === chosen?.id}
            className="underline aria-pressed:font-semibold aria-pressed:no-underline"
            onClick={() => {
              flush();
              tools.choose(id);
            }}
          >
            {name}
          </button>
        ))}
        <button
          type="button"
          className="underline"
          onClick={() => {
            flush();
            tools.add("Ending");
          }}
        >
          one more
        </button>
      </div>
      {chosen && (
        <>
          <input
            aria-label="Its name"
            className="wren-field"
            maxLength={80}
            key={`name of ${chosen.id}`}
            defaultValue={chosen.name}
            onBlur={(event) => tools.change(chosen.id, { name: event.target.value.trim() || chosen.name })}
          />
          <RichBox
            key={`${chosen.id} ${filled}`}
            label="The ending"
            box={box}
            initial={chosen.html}
            standIn={deskClients.wren.standIn}
            onChange={() => typed(chosen.id)}
            onPaste={() => tellRehearsal(desk, "pasted")}
            className="mt-2 min-h-40"
          />
          <div className="mt-2 flex flex-wrap gap-x-4">
            <button
              type="button"
              className="underline"
              onClick={() => {
                flush();
                const words = box.current?.innerText.trim() ?? "";
                const escaped = words
                  .replaceAll("&", "&amp;")
                  .replaceAll("<", "&lt;")
                  .replaceAll("\n", "<br>");
                tools.change(chosen.id, { html: escaped });
                setFilled(filled + 1);
              }}
            >
              words only
            </button>
            <button
              type="button"
              className="underline"
              onClick={() => {
                flush();
                tools.duplicate(chosen.id);
              }}
            >
              same again
            </button>
            <button
              type="button"
              className="underline"
              onClick={() => {
                flush();
                tools.takeOut(chosen.id);
              }}
            >
              gone
            </button>
          </div>
        </>
      )}
      {tools.choices.map(({ address, underNew, underAnswers, place, delimiter }) => (
        <fieldset key={address} className="mt-4 space-y-2">
          <legend className="text-sm [overflow-wrap:anywhere]">{address}</legend>
          <ChoiceField
            label="ends letters"
            look="wren-field"
            value={underNew ?? ""}
            choices={names}
            onChange={(id) => tools.putUnder(address, { underNew: id === "" ? null : id })}
          />
          <ChoiceField
            label="ends replies"
            look="wren-field"
            value={underAnswers ?? ""}
            choices={names}
            onChange={(id) => tools.putUnder(address, { underAnswers: id === "" ? null : id })}
          />
          <CheckField
            label="above the older words"
            checked={place === "above"}
            onChange={(above) => tools.putUnder(address, { place: above ? "above" : "below" })}
          />
          <CheckField
            label="after a line “-- ”"
            checked={delimiter}
            onChange={(set) => tools.putUnder(address, { delimiter: set })}
          />
        </fieldset>
      ))}
      <p role="status" className="mt-2 text-sm">
        {tools.problem ?? (typing || tools.changed || signatures.length === 0 ? "" : "It holds.")}
      </p>
    </>
  );
}
