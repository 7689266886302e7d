/** Giving a one-colour picture another colour; how opaque each pixel is stays. */
import { channelsOf } from "../color";
import { type Pixels } from "./pixels";

export function tintPixels({ data, width, height }: Pixels, color: string): Pixels {
  const [red, green, blue] = channelsOf(color);
  const out = new Uint8Array(data);
  for (let at = 0; at + 3 < out.length; at += 4) {
    out[at] = red;
    out[at + 1] = green;
    out[at + 2] = blue;
  }
  return { data: out, width, height };
}
