/** The signature that was started last in this window and not opened yet: its Bench begins with the caret in it. */
let started: string | null = null;

export function recordStarted(id: string): void {
  started = id;
}

/** Whether it was just started; answers so once. */
export function takeStarted(id: string): boolean {
  if (started !== id) return false;
  started = null;
  return true;
}
