"use client";

/** What is looked for in a long list, and its order, kept in the page's address: it comes back with it, and the server finds it. */
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState, useTransition } from "react";

interface Options<O extends string> {
  readonly path: string;
  /** As the page came. */
  readonly look: string;
  readonly order: O;
  /** The order that a page has when its address names none. */
  readonly usual: O;
  /** What the list is narrowed to besides, by its name in the address; what is empty is left out of it. */
  readonly narrowed?: Readonly<Record<string, string>>;
}

interface Looking<O extends string> {
  readonly typed: string;
  readonly order: O;
  /** How many of all were found, while something is looked for; null otherwise. */
  readonly says: (found: number, all: string) => string | null;
  readonly type: (look: string) => void;
  readonly put: (order: O) => void;
  /** What it is narrowed to now. */
  readonly narrowed: Readonly<Record<string, string>>;
  readonly narrow: (narrowed: Readonly<Record<string, string>>) => void;
}

const toNothing: Readonly<Record<string, string>> = {};

/** Letters closer together than this are asked for at once; ms. */
const gatherFor = 150;

export function useLooking<O extends string>(options: Options<O>): Looking<O> {
  const { path, look, order, usual, narrowed = toNothing } = options;
  const router = useRouter();
  const [typed, setTyped] = useState(look);
  const [chosen, setChosen] = useState(order);
  const [within, setWithin] = useState(narrowed);
  const [busy, begin] = useTransition();
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(
    () => () => {
      if (timer.current) clearTimeout(timer.current);
    },
    [],
  );

  const show = (wanted: string, by: O, only = within): void => {
    const asked = new URLSearchParams({
      ...(wanted.trim() && { look: wanted.trim() }),
      ...(by !== usual && { order: by }),
      ...Object.fromEntries(Object.entries(only).filter(([, value]) => value !== "")),
    }).toString();
    begin(() => router.replace(asked ? `${path}?${asked}` : path, { scroll: false }));
  };
  return {
    typed,
    order: chosen,
    says: (found, all) =>
      busy
        ? "Looking…"
        : look === "" && Object.values(narrowed).every((value) => value === "")
          ? null
          : `${found.toLocaleString("en")} of ${all}`,
    type: (wanted) => {
      setTyped(wanted);
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => show(wanted, chosen), gatherFor);
    },
    put: (by) => {
      setChosen(by);
      if (timer.current) clearTimeout(timer.current);
      show(typed, by);
    },
    narrowed: within,
    narrow: (only) => {
      setWithin(only);
      if (timer.current) clearTimeout(timer.current);
      show(typed, chosen, only);
    },
  };
}
