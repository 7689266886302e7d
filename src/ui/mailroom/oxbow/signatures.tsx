"use client";

/** Oxbow's signatures: each is a file that was attached, or source in a box. They hold once they are kept. */
import { useRef, useState } from "react";
import { HeldView } from "../parts/held-view";
import { useLosing } from "../parts/lost-changes";
import { tellRehearsal } from "../parts/tell-rehearsal";
import type { SettingsProps } from "../parts/rooms";
import { useDeskSettings } from "../parts/use-desk-settings";
import { usePlaces } from "./letters";
import { OxbowWords, type Word } from "./words";

export function OxbowSignatures({ desk }: SettingsProps) {
  const tools = useDeskSettings(desk, null);
  const places = usePlaces(desk);
  const file = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState("");
  /** Asked for once, before one is taken out. */
  const [asked, setAsked] = useState<string | null>(null);
  const { signatures, chosen, choices } = tools;
  const [first] = choices;
  useLosing("oxbow", tools.changed);

  const named = (name: string) => signatures.find((each) => each.name.toLowerCase() === name.toLowerCase());
  const list = (): string => [...signatures.map(({ name }) => name), "none"].join(", ");
  const under = (word: string, field: "underNew" | "underAnswers", says: string): Word => ({
    word,
    what: "a name, or none",
    says,
    run: (rest) => {
      const held = named(rest);
      if (!held && rest.toLowerCase() !== "none") return `There is no “${rest}”. There are: ${list()}.`;
      for (const { address } of choices) tools.putUnder(address, { [field]: held?.id ?? null });
      return `${says}: ${held?.name ?? "none"}. Not kept yet.`;
    },
  });
  const ofChosen = (run: (id: string, rest: string) => string | void) => (rest: string) =>
    chosen ? run(chosen.id, rest) : "There is no signature yet: type make and a name.";
  const words: readonly Word[] = [
    {
      word: "keep",
      says: "what was changed holds from now on",
      run: async () => ((await tools.keep()) ? "Kept." : ""),
    },
    {
      word: "make",
      what: "a name",
      says: "a new signature",
      run: (rest) => {
        tools.add(rest.slice(0, 80));
        return `“${rest}” is made and empty: attach a file, or write its source. Not kept yet.`;
      },
    },
    {
      word: "attach",
      says: "a file with the signature in it",
      run: () => {
        if (!chosen) return "There is no signature yet: type make and a name.";
        file.current?.click();
      },
    },
    {
      word: "pick",
      what: "a name",
      says: "another signature to look at",
      run: (rest) => {
        const held = named(rest);
        if (!held) return `There is no “${rest}”. There are: ${list()}.`;
        tools.choose(held.id);
      },
    },
    {
      word: "name",
      what: "a new name",
      says: "call it otherwise",
      run: (rest) =>
        ofChosen((id) => {
          tools.change(id, { name: rest.slice(0, 80) });
          return `It is called “${rest}”. Not kept yet.`;
        })(rest),
    },
    { word: "copy", says: "another one like it", run: ofChosen((id) => tools.duplicate(id)) },
    {
      word: "remove",
      says: "take it out",
      run: ofChosen((id) => {
        if (asked !== id) {
          setAsked(id);
          return `Remove “${chosen?.name ?? ""}”? Type remove once more, or anything else to leave it.`;
        }
        setAsked(null);
        tools.takeOut(id);
        return "Removed. Not kept yet.";
      }),
    },
    under("under new", "underNew", "Under new letters"),
    under("under answers", "underAnswers", "Under answers"),
    {
      word: "place",
      what: "above or below",
      says: "where it stands beside what an answer repeats",
      run: (rest) => {
        const place = rest.toLowerCase();
        if (place !== "above" && place !== "below") return "It stands above, or below.";
        for (const { address } of choices) tools.putUnder(address, { place });
        return `It stands ${place} what an answer repeats. Not kept yet.`;
      },
    },
    {
      word: "dashes",
      what: "on or off",
      says: "the line “-- ” before it",
      run: (rest) => {
        const on = rest.toLowerCase() === "on";
        if (!on && rest.toLowerCase() !== "off") return "They are on, or off.";
        for (const { address } of choices) tools.putUnder(address, { delimiter: on });
        return `The line “-- ” is ${on ? "on" : "off"}. Not kept yet.`;
      },
    },
    ...places,
  ];
  const nameOf = (id: string | null | undefined): string =>
    signatures.find((each) => each.id === id)?.name ?? "none";
  return (
    <>
      <h1 className="text-lg font-bold">Signatures</h1>
      <p className="text-(--ox-soft)">
        {signatures.length === 0 ? "None yet." : signatures.map(({ name }) => name).join(", ")}
      </p>
      <p className="text-(--ox-soft)">
        under new letters {nameOf(first?.underNew)}, under answers {nameOf(first?.underAnswers)},{" "}
        {first?.place ?? "below"} what is repeated, the line “-- ” {first?.delimiter ? "on" : "off"}
      </p>
      <input
        ref={file}
        type="file"
        accept=".html,.htm,.txt"
        aria-label="A file with the signature in it"
        className="sr-only"
        onChange={(event) => {
          const [picked] = event.target.files ?? [];
          if (!picked || !chosen) return;
          event.target.value = "";
          void picked.text().then((text) => {
            tools.change(chosen.id, { html: text });
            tellRehearsal(desk, "attached");
            setSaid(`${picked.name} is attached to “${chosen.name}”. Not kept yet.`);
          });
        }}
      />
      {chosen && (
        <>
          <label className="mt-3 block">
            the source of “{chosen.name}”
            <textarea
              className="oxbow-source"
              rows={8}
              spellCheck={false}
              value={chosen.html}
              onChange={(event) => tools.change(chosen.id, { html: event.target.value })}
              onBlur={(event) => event.target.value.trim() !== "" && tellRehearsal(desk, "attached")}
            />
          </label>
          <div className="mt-2">
            <HeldView desk={desk} signature={chosen} width={640} highest={300} />
          </div>
        </>
      )}
      {tools.problem && (
        <p role="alert" className="text-(--ox-wrong)">
          {tools.problem}
        </p>
      )}
      <OxbowWords words={words} said={said || (tools.changed ? "Not kept yet." : "")} />
    </>
  );
}
