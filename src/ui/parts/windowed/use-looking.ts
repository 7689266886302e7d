"use client";

/** What is looked for in a long list, and its order, kept in the page's address: it comes back with it, and the server finds it. */
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState, useTransition } from "react";

interface Options<O extends string> {
  readonly path: string;
  /** As the page came. */
  readonly look: string;
  /** The first is not named in the address. */
  readonly order: O;
}

interface Looking<O extends string> {
  readonly typed: string;
  readonly order: O;
  /** Whether what was asked for is not there yet. */
  readonly busy: boolean;
  readonly type: (look: string) => void;
  readonly put: (order: O) => void;
}

/** Letters closer together than this are asked for at once; ms. */
const gatherFor = 150;

export function useLooking<O extends string>({ path, look, order }: Options<O>): Looking<O> {
  const router = useRouter();
  const [typed, setTyped] = useState(look);
  const [chosen, setChosen] = useState(order);
  const [busy, begin] = useTransition();
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(
    () => () => {
      if (timer.current) clearTimeout(timer.current);
    },
    [],
  );

  const show = (wanted: string, by: O): void => {
    const asked = new URLSearchParams({ ...(wanted.trim() && { look: wanted.trim() }), order: by });
    begin(() => router.replace(`${path}?${asked}`, { scroll: false }));
  };
  return {
    typed,
    order: chosen,
    busy,
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
  };
}
