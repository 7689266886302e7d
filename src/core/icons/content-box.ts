/** Finding what is drawn inside the margins of an icon, so that icons with uneven margins come out equally large. */
import { byteAt, type Pixels, type Rectangle } from "../pictures";

/** Alpha of at least this is drawn; what is fainter is the haze of a resized edge. */
const seen = 24;
/** Steps of one channel, 0 to 255, by which something differs from a plain background. */
const apart = 24;

type Offset = number;

/** What tells a drawn pixel: its alpha, or in a picture without any clear part how far it is from its corners' colour. */
function drawnTest({ data, width, height }: Pixels): (at: Offset) => boolean {
  const corners = [0, width - 1, (height - 1) * width, height * width - 1].map((pixel) => pixel * 4);
  const opaque = corners.every((at) => byteAt(data, at + 3) > 250);
  const plain = corners.every((at) =>
    [0, 1, 2].every((c) => Math.abs(byteAt(data, at + c) - byteAt(data, c)) <= 8),
  );
  if (!opaque) return (at) => byteAt(data, at + 3) >= seen;
  if (!plain) return () => true;
  const background = [0, 1, 2].map((channel) => byteAt(data, channel));
  return (at) =>
    [0, 1, 2].some((channel) => Math.abs(byteAt(data, at + channel) - (background[channel] ?? 0)) > apart);
}

/** The smallest box around what is drawn; the whole of a picture in which nothing is. In px of the picture. */
export function contentBox(pixels: Pixels): Rectangle {
  const { width, height } = pixels;
  const drawn = drawnTest(pixels);
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (drawn((y * width + x) * 4)) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
  return right < 0
    ? { x: 0, y: 0, width, height }
    : { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}
