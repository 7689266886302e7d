/** How high most people's signatures come out; px. */

/** The height that most have, and the lowest of several such; 0 for nobody. Heights of the same 64th of a px are the same. */
export function usualHeight(heights: readonly number[]): number {
  const counts = new Map<number, number>();
  for (const height of heights) {
    const rounded = Math.round(height * 64) / 64;
    counts.set(rounded, (counts.get(rounded) ?? 0) + 1);
  }
  let usual = 0;
  let most = 0;
  for (const [height, count] of counts)
    if (count > most || (count === most && height < usual)) [usual, most] = [height, count];
  return usual;
}
