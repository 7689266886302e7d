/** A source that was broken when it was closed, kept by its signature for as long as the window is open. */

export interface Unfinished {
  readonly text: string;
  /** The source that it was typed into. */
  readonly of: string;
}

const keyOf = (id: string): string => `still-line unfinished source ${id}`;

export const unfinished = {
  keep(id: string, source: Unfinished): void {
    try {
      sessionStorage.setItem(keyOf(id), JSON.stringify(source));
    } catch {
      // Storage is forbidden or full: it is lost with the source that is closed.
    }
  },
  /** What was kept, once; null where nothing was. */
  take(id: string): Unfinished | null {
    try {
      const kept = sessionStorage.getItem(keyOf(id));
      sessionStorage.removeItem(keyOf(id));
      return kept === null ? null : (JSON.parse(kept) as Unfinished);
    } catch {
      return null;
    }
  },
};
