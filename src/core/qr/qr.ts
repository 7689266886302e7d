/**
 * Codes to scan (ISO/IEC 18004) as pictures: dark on white, with the quiet zone of four modules around that readers need.
 * Sizes are px of the whole picture.
 */
import { encode } from "fast-png";
import QRCode from "qrcode";

interface Modules {
  /** Modules on a side, the quiet zone left out. */
  readonly count: number;
  readonly dark: (row: number, column: number) => boolean;
}

const quiet = 4;

/** The smallest picture whose modules a phone tells apart; px. */
export const smallestCode = 100;
export const largestCode = 2000;

/** What the largest code holds at the lowest level of correction; bytes. */
export const mostInCode = 2953;

/** Throws a RangeError for more than a code holds. */
function modulesOf(text: string): Modules {
  const data = new TextEncoder().encode(text);
  // A code that is a little soiled is still read, where the text is not too long for that.
  for (const errorCorrectionLevel of ["M", "L"] as const)
    try {
      const { modules } = QRCode.create([{ data, mode: "byte" }], { errorCorrectionLevel });
      return { count: modules.size, dark: (row, column) => modules.get(row, column) === 1 };
    } catch {
      // Too much for this level.
    }
  throw new RangeError(
    `A code holds at most ${mostInCode.toLocaleString("en")} bytes, and this is ${data.length.toLocaleString("en")}.`,
  );
}

/** As SVG, one path of the dark modules row by row. */
export function codeSvg(text: string, size: number): string {
  const { count, dark } = modulesOf(text);
  const all = count + 2 * quiet;
  let path = "";
  for (let row = 0; row < count; row++)
    for (let column = 0; column < count; column++) {
      if (!dark(row, column)) continue;
      let length = 1;
      while (column + length < count && dark(row, column + length)) length += 1;
      path += `M${column + quiet} ${row + quiet}h${length}v1h-${length}z`;
      column += length;
    }
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${all} ${all}" shape-rendering="crispEdges">` +
    `<path fill="#FFFFFF" d="M0 0h${all}v${all}H0z"/><path fill="#000000" d="${path}"/></svg>\n`
  );
}

/** As PNG in shades of grey: modules of whole px, what is left over around them. */
export function codePng(text: string, size: number): Uint8Array {
  const { count, dark } = modulesOf(text);
  const scale = Math.max(1, Math.floor(size / (count + 2 * quiet)));
  const side = Math.max(size, scale * (count + 2 * quiet));
  const from = Math.floor((side - scale * count) / 2);
  const data = new Uint8Array(side * side).fill(255);
  for (let row = 0; row < count; row++)
    for (let column = 0; column < count; column++)
      if (dark(row, column))
        for (let y = 0; y < scale; y++) {
          const at = (from + row * scale + y) * side + from + column * scale;
          data.fill(0, at, at + scale);
        }
  return encode({ width: side, height: side, data, channels: 1, depth: 8 });
}
