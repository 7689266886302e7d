"use client";

/**
 * What was done to the directory from this window, so that each step can be taken back and done again; kept as long as the window is,
 * through other views and a reload.
 */
import { useSyncExternalStore } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { PersonChange } from "@/core/people";
import { ask } from "../parts/asking/ask";
import { useStepKeys } from "../parts/steps/use-step-keys";

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

export interface DirectoryChanged {
  /** What takes it back is known by. */
  readonly change: string;
  readonly ids: readonly string[];
}

/** What changes the directory, as one step; none where it answers with null. Rejects as it does. */
export const stepOfDirectory = <T extends DirectoryChanged | null>(
  action: () => Promise<T>,
  says: string,
): Promise<T> =>
  oneAfterAnother(async () => {
    const done = await action();
    if (done) keep({ past: [...read().past, { change: done.change, says }], future: [] });
    return done;
  });

/** Changes people as one step. Rejects with a RequestError, and nothing was changed then. */
export const changeDirectory = (changes: readonly PersonChange[], says: string): Promise<DirectoryChanged> =>
  stepOfDirectory(() => ask(endpoints.changePeople, { body: { changes: [...changes] } }), says);

type Direction = "back" | "forth";

const without = (all: readonly Step[], step: Step): readonly Step[] => all.filter((each) => each !== step);

async function turn(step: Step, direction: Direction): Promise<boolean> {
  const { past, future } = read();
  const left: Steps = { past: without(past, step), future: without(future, step) };
  try {
    const { change } = await ask(endpoints.takeBackPeople, { params: { change: step.change } });
    const turned = { ...step, change };
    keep(
      direction === "back"
        ? { ...left, future: [...left.future, turned] }
        : { ...left, past: [...left.past, turned] },
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

function stepThrough(
  find: (steps: Steps) => Step | undefined,
  direction: Direction,
  onChanged: () => void,
): void {
  void oneAfterAnother(async () => {
    const step = find(read());
    if (step && (await turn(step, direction))) onChanged();
  });
}

/** Takes back one step, whatever was done after it. */
export const takeStepBack = ({ change }: DirectoryChanged, onChanged: () => void): void =>
  stepThrough(({ past }) => past.find((step) => step.change === change), "back", onChanged);

export interface DirectorySteps {
  /** What would be taken back, or done again; null where there is nothing. */
  readonly undoes: string | null;
  readonly redoes: string | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** `onChanged` is called once the directory is another. Their keys work wherever nobody is typing. */
export function useDirectorySteps(onChanged: () => void): DirectorySteps {
  const { past, future } = useSyncExternalStore(subscribe, read, () => none);
  const undo = (): void => stepThrough((steps) => steps.past.at(-1), "back", onChanged);
  const redo = (): void => stepThrough((steps) => steps.future.at(-1), "forth", onChanged);
  useStepKeys({ undo, redo });
  return {
    ...{ undo, redo, canUndo: past.length > 0, canRedo: future.length > 0 },
    ...{ undoes: past.at(-1)?.says ?? null, redoes: future.at(-1)?.says ?? null },
  };
}
