"use client";

/** Oxbow: a letter on the typewriter. */
import { useRouter } from "next/navigation";
import { useState } from "react";
import { pathsOf } from "../parts/letter-paths";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";
import { LetterField } from "../parts/writing-fields";
import { usePlaces } from "./letters";
import { OxbowWords, type Word } from "./words";

const addressesIn = (typed: string): readonly string[] =>
  typed.split(/[\s,;]+/).filter((each) => each !== "");

export function OxbowWriting({ desk, start, colleagues }: WritingProps) {
  const writing = useWriting(desk, start);
  const router = useRouter();
  const places = usePlaces(desk);
  const [to, setTo] = useState(start.to.join(", "));
  const [cc, setCc] = useState(start.cc.join(", "));
  const signed = desk.held.find(({ id }) => id === writing.signature)?.name ?? "none";
  const words: readonly Word[] = [
    {
      word: "send",
      says: "off it goes",
      run: async () => {
        if (await writing.send()) router.push(pathsOf(desk).letters("sent"));
      },
    },
    { word: "discard", says: "into the bin with it", run: writing.drop },
    {
      word: "sign",
      what: "a signature’s name, or none",
      says: "another signature in place of this one",
      run: (rest) => {
        const held = desk.held.find(({ name }) => name.toLowerCase() === rest.toLowerCase());
        if (!held && rest.toLowerCase() !== "none")
          return `There is no signature “${rest}”. There are: ${[...desk.held.map(({ name }) => name), "none"].join(", ")}.`;
        writing.sign(held?.id ?? null);
        return held ? `Signed with ${held.name}.` : "Not signed.";
      },
    },
    {
      word: "from",
      what: "one of your addresses",
      says: "another address of your own",
      run: (rest) => {
        if (!desk.addresses.includes(rest.toLowerCase())) return `Yours are: ${desk.addresses.join(", ")}.`;
        writing.writeFrom(rest.toLowerCase());
        return `From ${rest.toLowerCase()}.`;
      },
    },
    ...places,
  ];
  const line = (label: string, value: string, change: (typed: string) => void, list?: string) => (
    <label className="flex items-baseline gap-3">
      <span className="w-16 text-(--ox-soft)">{label}</span>
      <input
        className="oxbow-line"
        value={value}
        list={list}
        onChange={(event) => change(event.target.value)}
      />
    </label>
  );
  return (
    <>
      <h1 className="text-lg font-bold">
        {start.about ? (start.about.how === "answer" ? "Answer" : "Forward") : "New letter"}
      </h1>
      <p className="text-(--ox-soft)">
        from {writing.from}, signed {signed}
      </p>
      <datalist id="oxbow-people">
        {colleagues.map(({ id, name, mail }) => (
          <option key={id} value={mail}>
            {name}
          </option>
        ))}
      </datalist>
      {line(
        "to",
        to,
        (typed) => {
          setTo(typed);
          writing.set({ to: addressesIn(typed) });
        },
        "oxbow-people",
      )}
      {line("copy", cc, (typed) => {
        setCc(typed);
        writing.set({ cc: addressesIn(typed) });
      })}
      {line("subject", writing.subject, (subject) => writing.set({ subject: subject.slice(0, 200) }))}
      <LetterField desk={desk} start={start} writing={writing} label="The letter" className="mt-3 min-h-64" />
      {writing.problem && (
        <p role="alert" className="text-(--ox-wrong)">
          {writing.problem} The letter is still here.
        </p>
      )}
      <OxbowWords words={words} said={writing.kept} />
    </>
  );
}
