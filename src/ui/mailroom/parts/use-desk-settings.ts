"use client";

/** The settings of a client while somebody changes them: signatures as text, and which goes under what. */
import { useRef, useState } from "react";
import { endpoints, type Desk } from "@/contract";
import {
  deskClients,
  freeName,
  type DeskSettings,
  type DeskSignature,
  type SignatureChoice,
} from "@/core/desks";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";

export interface SettingsTools {
  readonly signatures: readonly DeskSignature[];
  readonly choices: readonly SignatureChoice[];
  readonly chosen: DeskSignature | null;
  readonly choose: (id: string) => void;
  /** Makes one, chosen at once; it goes under new letters where nothing does yet. */
  readonly add: (name: string, html?: string) => void;
  readonly change: (id: string, change: Partial<Pick<DeskSignature, "name" | "html">>) => void;
  readonly duplicate: (id: string) => void;
  readonly takeOut: (id: string) => void;
  readonly putUnder: (address: string, change: Partial<SignatureChoice>) => void;
  /** Whether something differs from what is kept. */
  readonly changed: boolean;
  /** Resolves to whether it was kept. */
  readonly keep: () => Promise<boolean>;
  readonly busy: boolean;
  readonly problem: string | null;
}

const settingsOf = ({ held, choices }: Desk): DeskSettings => ({
  signatures: held.map(({ id, name, html }) => ({ id, name, html })),
  choices,
});

/** Where nothing is held yet: an empty one to begin with, under new letters. */
const withFirst = (settings: DeskSettings, name: string | null): DeskSettings =>
  name === null || settings.signatures.length > 0
    ? settings
    : {
        signatures: [{ id: "first", name, html: "" }],
        choices: settings.choices.map((choice) => ({ ...choice, underNew: "first" })),
      };

const without = (choice: SignatureChoice, id: string): SignatureChoice => ({
  ...choice,
  underNew: choice.underNew === id ? null : choice.underNew,
  underAnswers: choice.underAnswers === id ? null : choice.underAnswers,
});

/**
 * Each change is kept at once, or all when it is told to be, as the client does. `first` is what the signature is called that one
 * begins with where there is none; null where one is made by hand.
 */
export function useDeskSettings(desk: Desk, first: string | null): SettingsTools {
  const byItself = deskClients[desk.client].keeps === "by-itself";
  const [settings, setSettings] = useState(() => withFirst(settingsOf(desk), first));
  const [chosenId, setChosenId] = useState(settings.signatures[0]?.id ?? null);
  const [changed, setChanged] = useState(false);
  const { busy, problem, attempt } = useAttempt();
  const latest = useRef(settings);
  const keeping = useRef<Promise<unknown>>(Promise.resolve());

  const keepNow = (): Promise<boolean> =>
    attempt(async () => {
      const given = latest.current;
      const answer = await ask(endpoints.keepDesk, {
        params: { person: desk.person.id, client: desk.client },
        body: given,
        // It may be the last thing that a window does.
        keepalive: byItself && JSON.stringify(given).length < 60_000,
      });
      // What was typed meanwhile is not put back.
      if (latest.current !== given) return;
      latest.current = settingsOf(answer);
      setSettings(latest.current);
      setChanged(false);
    });
  /** One after the other, so that the last one is what holds. */
  const keep = (): Promise<boolean> => {
    const kept = keeping.current.then(keepNow);
    keeping.current = kept;
    return kept;
  };

  const update = (next: DeskSettings): void => {
    latest.current = next;
    setSettings(next);
    setChanged(true);
    if (byItself) void keep();
  };

  const add = (name: string, html = ""): void => {
    const id = crypto.randomUUID();
    const { signatures, choices } = latest.current;
    const free = freeName(
      name,
      signatures.map((each) => each.name),
    );
    setChosenId(id);
    update({
      signatures: [...signatures, { id, name: free, html }],
      choices: signatures.length > 0 ? choices : choices.map((choice) => ({ ...choice, underNew: id })),
    });
  };

  return {
    signatures: settings.signatures,
    choices: settings.choices,
    chosen: settings.signatures.find(({ id }) => id === chosenId) ?? settings.signatures[0] ?? null,
    choose: setChosenId,
    add,
    change: (id, change) =>
      update({
        ...latest.current,
        signatures: latest.current.signatures.map((each) => (each.id === id ? { ...each, ...change } : each)),
      }),
    duplicate: (id) => {
      const own = latest.current.signatures.find((each) => each.id === id);
      if (own) add(own.name, own.html);
    },
    takeOut: (id) =>
      update({
        signatures: latest.current.signatures.filter((each) => each.id !== id),
        choices: latest.current.choices.map((choice) => without(choice, id)),
      }),
    putUnder: (address, change) =>
      update({
        ...latest.current,
        choices: latest.current.choices.map((choice) =>
          choice.address === address ? { ...choice, ...change } : choice,
        ),
      }),
    changed,
    keep,
    busy,
    problem,
  };
}
