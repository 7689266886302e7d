/**
 * What was typed and not yet saved, kept in the browser until the server has it. Each window keeps its own draft
 * of a signature; another window takes it up only once it has lain for a while, when the window that wrote it
 * must be gone.
 */

export interface Draft {
  /** The revision that the document was made from. */
  readonly revision: number;
  readonly document: unknown;
  /** What that revision holds, for merging what has been saved since. */
  readonly base: unknown;
  /** What was on its way to the server then; when the server has it, the next revision is our own. */
  readonly sent: unknown;
}

interface KeptDraft extends Draft {
  /** Milliseconds since 1970. */
  readonly keptAt: number;
}

/** A draft, with what drops it once it has been taken up. */
export interface FoundDraft extends Draft {
  readonly drop: () => void;
}

/** How long a draft of another window is left alone; ms. */
const othersWait = 30_000;

const prefix = (id: string): string => `still-line draft ${id} `;

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
    const kept: KeptDraft = { ...draft, keptAt: Date.now() };
    localStorage.setItem(prefix(id) + windowId(), JSON.stringify(kept));
  } catch {
    // Storage is full or forbidden: the save itself goes on.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(prefix(id) + windowId());
  } catch {
    // There was none, then.
  }
}

function keysOf(id: string): string[] {
  const keys = Array.from({ length: localStorage.length }, (_unused, index) => localStorage.key(index) ?? "");
  return keys.filter((key) => key.startsWith(prefix(id)));
}

/** This window's own draft, or else one that another window has left behind; null when there is none. */
export function readDraft(id: string): FoundDraft | null {
  try {
    const own = prefix(id) + windowId();
    for (const key of keysOf(id).sort((one, other) => Number(other === own) - Number(one === own))) {
      const kept = JSON.parse(localStorage.getItem(key) ?? "null") as KeptDraft | null;
      if (kept && (key === own || Date.now() - kept.keptAt > othersWait))
        return { ...kept, drop: () => localStorage.removeItem(key) };
    }
  } catch {
    // Storage is forbidden, or holds something that is no draft.
  }
  return null;
}
