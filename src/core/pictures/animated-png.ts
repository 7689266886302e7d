/** Whether a PNG moves: its animation control chunk stands before its picture (W3C PNG, third edition, acTL). */

const chunkHead = 8;
const signature = 8;

/** False for what is no PNG, for one that is cut short before it says so, and for an animation of one frame. */
export function isAnimatedPng(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  // After a chunk's length, type and content stand four bytes of its checksum.
  for (let at = signature; at + chunkHead + 4 <= bytes.length;) {
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + chunkHead));
    if (type === "acTL") return view.getUint32(at + chunkHead) > 1;
    if (type === "IDAT") return false;
    at += chunkHead + view.getUint32(at) + 4;
  }
  return false;
}
