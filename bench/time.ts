/** Timing a call many times over in this process; ms. */

export interface Timing {
  readonly median: number;
  readonly p95: number;
}

/** Median and 95th percentile of `runs` calls, after a warm-up of a quarter as many. */
export function time(action: () => unknown, runs = 400): Timing {
  for (let run = 0; run < runs / 4; run++) action();
  const taken = Array.from({ length: runs }, () => {
    const start = performance.now();
    action();
    return performance.now() - start;
  }).sort((one, other) => one - other);
  return { median: taken[Math.floor(runs / 2)]!, p95: taken[Math.floor(runs * 0.95)]! };
}
