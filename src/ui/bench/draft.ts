/** What was typed and not yet saved, kept in the browser until the server has it. */

export interface Draft {
  /** The revision that the document was made from. */
  readonly revision: number;
  readonly document: unknown;
  /** What was on its way to the server then; when the server has it, the next revision is our own. */
  readonly sent: unknown;
}

const key = (id: string): string => `still-line draft ${id}`;

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
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

export function readDraft(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(key(id)) ?? "null") as Draft | null;
  } catch {
    return null;
  }
}
