"use client";

/** Somebody with the pictures that a signature shows of them, made as soon as they are needed. */
import { useEffect, useMemo, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { endpoints, type Cut } from "@/contract";
import type { Person } from "@/core/people";
import { pictureKey, picturesLacking } from "@/core/signature";
import { ask } from "../parts/asking/ask";

/** The very same person where nothing has to be made. `learnCut` is told of every picture that was. */
export function useOwnPictures(
  document: Node,
  person: Person | null,
  learnCut: (cut: Cut) => void,
): Person | null {
  const [made, setMade] = useState<Readonly<Record<string, string>>>({});
  const asked = useRef(new Set<string>());
  const shown = useMemo((): Person | null => {
    if (!person) return null;
    const own = picturesLacking(document, person)
      .map(pictureKey)
      .filter((key) => made[key] !== undefined);
    if (own.length === 0) return person;
    const pictures = Object.fromEntries(own.map((key) => [key, made[key] ?? ""]));
    return { ...person, pictures: { ...person.pictures, ...pictures } };
  }, [document, person, made]);

  useEffect(() => {
    const wanted = picturesLacking(document, shown).filter((each) => !asked.current.has(pictureKey(each)));
    if (wanted.length === 0) return;
    for (const each of wanted) asked.current.add(pictureKey(each));
    ask(endpoints.makeOwnPictures, { body: { name: shown?.name ?? "", pictures: wanted } }).then(
      ({ pictures, cuts }) => {
        for (const cut of cuts) learnCut(cut);
        setMade((before) => ({ ...before, ...pictures }));
      },
      (error: Error) => {
        for (const each of wanted) asked.current.delete(pictureKey(each));
        toast.error(error.message);
      },
    );
  }, [document, shown, learnCut]);
  return shown;
}
