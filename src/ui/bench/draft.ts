/**
 * What was typed and not yet saved, kept in the browser until the server has it. A draft belongs to its window:
 * another window takes it up only once it has lain for a while, when the window that wrote it must be gone.
 */

export interface Draft {
  /** The revision that the document was made from. */
  readonly revision: number;
  readonly document: unknown;
  /** What was on its way to the server then; when the server has it, the next revision is our own. */
  readonly sent: unknown;
}

interface KeptDraft extends Draft {
  readonly window: string;
  /** Milliseconds since 1970. */
  readonly keptAt: number;
}

const key = (id: string): string => `still-line draft ${id}`;

/** How long a draft of another window is left alone; ms. */
const othersWait = 30_000;

/** The same after a reload, another in every other window. */
function windowId(): string {
  const known = sessionStorage.getItem("still-line window");
  if (known) return known;
  const made = `${Date.now()}-${Math.random()}`;
  sessionStorage.setItem("still-line window", made);
  return made;
}

export function keepDraft(id: string, draft: Draft): void {
  try {
    const kept: KeptDraft = { ...draft, window: windowId(), keptAt: Date.now() };
    localStorage.setItem(key(id), JSON.stringify(kept));
  } catch {
    // Storage is full or forbidden: the save itself goes on.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // There was none, then.
  }
}

/** The draft that this window may take up, or null. */
export function readDraft(id: string): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? "null") as KeptDraft | null;
    const ours = kept && (kept.window === windowId() || Date.now() - kept.keptAt > othersWait);
    return ours ? kept : null;
  } catch {
    return null;
  }
}
