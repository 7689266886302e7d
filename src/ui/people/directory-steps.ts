"use client";

/**
 * What was done to the directory from this window, so that each step can be taken back and done again; kept as long as the window is,
 * through other views and a reload.
 */
import { useEffect, useSyncExternalStore } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { PersonChange } from "@/core/people";
import { ask } from "../parts/asking/ask";

interface Step {
  /** What takes it back is known by. */
  readonly change: string;
  /** What it did, as a sentence. */
  readonly says: string;
}

interface Steps {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

const none: Steps = { past: [], future: [] };
const place = "still-line steps of the directory";
const most = 100;

let steps: Steps | null = null;
const changed = new EventTarget();

function read(): Steps {
  if (steps) return steps;
  try {
    steps = (JSON.parse(sessionStorage.getItem(place) ?? "null") as Steps | null) ?? none;
  } catch {
    steps = none;
  }
  return steps;
}

function keep(next: Steps): void {
  steps = { past: next.past.slice(-most), future: next.future.slice(-most) };
  try {
    sessionStorage.setItem(place, JSON.stringify(steps));
  } catch {
    // They stay as long as the page does.
  }
  changed.dispatchEvent(new Event("change"));
}

const subscribe = (told: () => void): (() => void) => {
  changed.addEventListener("change", told);
  return () => changed.removeEventListener("change", told);
};

/** What is under way ends before the next begins: it may be made from what that does. */
let going: Promise<unknown> = Promise.resolve();

function oneAfterAnother<T>(action: () => Promise<T>): Promise<T> {
  const own = going.then(action);
  going = own.catch(() => undefined);
  return own;
}

/** Changes people as one step. Rejects with a RequestError, and nothing was changed then; resolves to the ids of who was changed. */
export const changeDirectory = (changes: readonly PersonChange[], says: string): Promise<readonly string[]> =>
  oneAfterAnother(async () => {
    const { change, ids } = await ask(endpoints.changePeople, { body: { changes: [...changes] } });
    const { past } = read();
    keep({ past: [...past, { change, says }], future: [] });
    return ids;
  });

type Direction = "back" | "forth";

async function go(direction: Direction): Promise<boolean> {
  const { past, future } = read();
  const step = (direction === "back" ? past : future).at(-1);
  if (!step) return false;
  const left: Steps =
    direction === "back" ? { past: past.slice(0, -1), future } : { past, future: future.slice(0, -1) };
  try {
    const { change } = await ask(endpoints.takeBackPeople, { params: { change: step.change } });
    const turned = { ...step, change };
    keep(
      direction === "back" ? { ...left, future: [...future, turned] } : { ...left, past: [...past, turned] },
    );
    toast(`${direction === "back" ? "Taken back" : "Done again"}: ${step.says}`);
    return true;
  } catch (error) {
    // What was changed since cannot be taken back any more; what the server did not answer can be tried again.
    if ((error as { status?: number }).status !== 0) keep(left);
    toast.error((error as Error).message);
    return false;
  }
}

function stepThrough(direction: Direction, onChanged: () => void): void {
  void oneAfterAnother(async () => {
    if (await go(direction)) onChanged();
  });
}

/** Takes back what was done last, wherever that is asked for. */
export const stepBack = (onChanged: () => void): void => stepThrough("back", onChanged);

export interface DirectorySteps {
  /** What would be taken back, or done again; null where there is nothing. */
  readonly undoes: string | null;
  readonly redoes: string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

const isField = (target: EventTarget | null): boolean =>
  target instanceof Element && target.matches("input:not([type=checkbox]), textarea, select");

/** `onChanged` is called once the directory is another. Ctrl Z and Ctrl Shift Z work wherever nobody is typing. */
export function useDirectorySteps(onChanged: () => void): DirectorySteps {
  const { past, future } = useSyncExternalStore(subscribe, read, () => none);
  const turn = (direction: Direction): void => stepThrough(direction, onChanged);
  const [undo, redo] = [() => turn("back"), () => turn("forth")];
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z" || isField(event.target))
        return;
      event.preventDefault();
      turn(event.shiftKey ? "forth" : "back");
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  });
  return {
    ...{ undo, redo, canUndo: past.length > 0, canRedo: future.length > 0 },
    ...{ undoes: past.at(-1)?.says ?? null, redoes: future.at(-1)?.says ?? null },
  };
}
