"use client";

/** A letter that is being written at a desk: who it goes to, its signature, its draft, and sending it. */
import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from "react";
import { useRouter } from "next/navigation";
import { endpoints, type Desk, type LetterBegun, type NewLetter } from "@/contract";
import { signatureBlock, signatureMark, quoteMark } from "@/core/mailroom";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";
import { pathsOf } from "./letter-paths";
import { drawnInBox, writtenIn } from "./rich-box";

export interface Writing {
  readonly box: RefObject<HTMLDivElement | null>;
  readonly from: string;
  readonly to: readonly string[];
  readonly cc: readonly string[];
  readonly subject: string;
  /** The held signature that stands in it. */
  readonly signature: string | null;
  readonly set: (change: Partial<Pick<NewLetter, "to" | "cc" | "subject">>) => void;
  /** Writes from another own address, with the signature that goes under its letters. */
  readonly writeFrom: (address: string) => void;
  /** Puts another signature in the place of the one that is there, and changes nothing else. */
  readonly sign: (id: string | null) => void;
  /** To be told of every change in the box. */
  readonly changed: () => void;
  /** Resolves to whether it went. */
  readonly send: () => Promise<boolean>;
  /** Throws away what was begun, which can be taken back, and goes to the letters. */
  readonly drop: () => Promise<void>;
  readonly busy: boolean;
  readonly sent: boolean;
  readonly problem: string | null;
  /** What became of the draft. */
  readonly kept: string;
}

/** How long typing rests before a draft is kept; ms. */
const rest = 1200;

/** Puts a signature into a box: in place of the one there, else before what is quoted or at the end. */
function putSignature(box: HTMLElement, html: string): void {
  const there = box.querySelector(`[${signatureMark}]`);
  if (there) {
    there.outerHTML = html;
    return;
  }
  const quote = box.querySelector(`[${quoteMark}]`);
  if (quote) quote.insertAdjacentHTML("beforebegin", html);
  else box.insertAdjacentHTML("beforeend", html);
}

export function useWriting(desk: Desk, start: LetterBegun): Writing {
  const box = useRef<HTMLDivElement>(null);
  const [letter, setLetter] = useState(start);
  const { busy, problem, attempt } = useAttempt();
  const [sent, setSent] = useState(false);
  const router = useRouter();
  const refreshing = useRefreshing();
  const [kept, setKept] = useState("");
  const latest = useRef(letter);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  /** The draft is kept once at a time, so that it does not become two. */
  const keeping = useRef<Promise<unknown>>(Promise.resolve());

  const asWritten = (): NewLetter => {
    const { from, to, cc, subject, signature, about, draft } = latest.current;
    return { from, to, cc, subject, signature, about, draft, html: writtenIn(box.current) };
  };

  const params = { person: desk.person.id, client: desk.client };

  const keepNow = (keepalive = false): void => {
    stopTimer();
    const written = asWritten();
    keeping.current = keeping.current
      .then(() =>
        ask(endpoints.keepDraft, {
          params,
          // It may have become a draft since.
          body: { ...written, draft: latest.current.draft },
          keepalive,
        }),
      )
      .then(
        ({ draft }) => {
          latest.current = { ...latest.current, draft };
          setKept("What you wrote is kept as begun.");
        },
        (error: Error) => setKept(error.message),
      );
  };

  function stopTimer(): void {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
  }

  const changed = (): void => {
    stopTimer();
    timer.current = setTimeout(() => keepNow(), rest);
  };

  // What was typed last is kept as well when the place is left, or the window.
  const leave = useRef<(keepalive?: boolean) => void>(() => undefined);
  useEffect(() => {
    leave.current = (keepalive) => {
      if (timer.current) keepNow(keepalive);
    };
  });
  useEffect(() => {
    const hidden = (): void => leave.current(true);
    addEventListener("pagehide", hidden);
    return () => removeEventListener("pagehide", hidden);
  }, []);
  // While the box is still there.
  useLayoutEffect(() => () => leave.current(), []);

  const update = (change: Partial<LetterBegun>): void => {
    latest.current = { ...latest.current, ...change };
    setLetter(latest.current);
    changed();
  };

  const sign = (id: string | null, address = latest.current.from): void => {
    const held = desk.held.find((each) => each.id === id) ?? null;
    const choice = desk.choices.find((each) => each.address === address);
    const html = signatureBlock(held?.html ?? null, choice?.delimiter ?? false);
    if (box.current) putSignature(box.current, drawnInBox(html, start.pictures));
    update({ signature: held?.id ?? null, from: address });
  };

  return {
    box,
    from: letter.from,
    to: letter.to,
    cc: letter.cc,
    subject: letter.subject,
    signature: letter.signature,
    set: update,
    writeFrom: (address) => {
      const choice = desk.choices.find((each) => each.address === address);
      sign((letter.about ? choice?.underAnswers : choice?.underNew) ?? null, address);
    },
    sign: (id) => sign(id),
    changed,
    send: async () => {
      stopTimer();
      const went = await attempt(async () => {
        await keeping.current;
        await ask(endpoints.sendLetter, { params, body: asWritten() });
      });
      setSent(went);
      return went;
    },
    drop: async () => {
      stopTimer();
      const written = asWritten();
      const gone = await attempt(async () => {
        await keeping.current;
        const { draft } = latest.current;
        if (draft) await ask(endpoints.dropDraft, { params: { ...params, draft } });
      });
      if (!gone) return;
      sayRemoved("What was begun is thrown away.", () => {
        void refreshing(() => ask(endpoints.keepDraft, { params, body: { ...written, draft: null } }));
      });
      router.push(pathsOf(desk).letters());
      router.refresh();
    },
    busy,
    sent,
    problem,
    kept,
  };
}
