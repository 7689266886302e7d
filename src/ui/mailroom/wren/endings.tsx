"use client";

/** Wren's endings: what is pasted out of a letter, or plain text. Every change holds at once. */
import { useCallback, useEffect, useRef, useState } from "react";
import { deskClients } from "@/core/desks";
import { htmlOfLines, RichBox, writtenIn } from "../parts/rich-box";
import { tellRehearsal } from "../parts/tell-rehearsal";
import type { SettingsProps } from "../parts/rooms";
import { DelimiterField, PlaceField, UnderField } from "../parts/under-fields";
import { useDeskSettings } from "../parts/use-desk-settings";

/** How long typing rests before it holds; ms. */
const rest = 600;

interface WordProps {
  readonly run: () => void;
  readonly pressed?: boolean;
  readonly children: string;
}

const Word = ({ run, pressed, children }: WordProps) => (
  <button
    type="button"
    aria-pressed={pressed}
    className="underline aria-pressed:font-semibold aria-pressed:no-underline"
    onClick={run}
  >
    {children}
  </button>
);

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
  /** What was typed holds before anything else is done. */
  const after = (run: () => void) => (): void => {
    flush();
    run();
  };
  const putWordsOnly = (id: string): void => {
    flush();
    tools.change(id, { html: htmlOfLines(box.current?.innerText.trim() ?? "") });
    setFilled(filled + 1);
  };
  return (
    <>
      <h1 className="text-lg font-semibold">Ending</h1>
      <p className="text-sm text-(--wr-soft)">
        Copy it out of a letter that you sent to yourself, and paste it here.
      </p>
      <div className="my-2 flex flex-wrap gap-x-4 gap-y-1">
        {signatures.map(({ id, name }) => (
          <Word key={id} pressed={id === chosen?.id} run={after(() => tools.choose(id))}>
            {name}
          </Word>
        ))}
        <Word run={after(() => tools.add("Ending"))}>one more</Word>
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
            <Word run={() => putWordsOnly(chosen.id)}>words only</Word>
            <Word run={after(() => tools.duplicate(chosen.id))}>same again</Word>
            <Word run={after(() => tools.takeOut(chosen.id))}>gone</Word>
          </div>
        </>
      )}
      {tools.choices.map((choice) => {
        const same = { choice, put: tools.putUnder } as const;
        const under = { ...same, held: signatures, none: "none", look: "wren-field" };
        return (
          <fieldset key={choice.address} className="mt-4 space-y-2">
            <legend className="text-sm [overflow-wrap:anywhere]">{choice.address}</legend>
            <UnderField {...under} field="underNew" label="ends letters" />
            <UnderField {...under} field="underAnswers" label="ends replies" />
            <PlaceField {...same} label="above the older words" />
            <DelimiterField {...same} label="after a line “-- ”" />
          </fieldset>
        );
      })}
      <p role="status" className="mt-2 text-sm">
        {tools.problem ?? (typing || tools.changed || signatures.length === 0 ? "" : "It holds.")}
      </p>
    </>
  );
}
