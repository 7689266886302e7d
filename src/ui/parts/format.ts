/** Sizes as people say them. */

/** `940 bytes`, `23 KB`, `1.4 MB`. */
export function formatBytes(bytes: number): string {
  if (bytes < 1024) return `${bytes} bytes`;
  const kilobytes = bytes / 1024;
  if (kilobytes < 1000) return `${kilobytes < 10 ? Number(kilobytes.toFixed(1)) : Math.round(kilobytes)} KB`;
  return `${(kilobytes / 1024).toFixed(1)} MB`;
}

/** `320 × 118 px`. */
export const formatSize = (width: number, height: number): string =>
  `${width.toLocaleString("en")} × ${height.toLocaleString("en")} px`;

export const formatCount = (count: number, one: string, many = `${one}s`): string =>
  `${count.toLocaleString("en")} ${count === 1 ? one : many}`;
