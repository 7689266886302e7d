/** What colours something is drawn in: of its ground, and of what stands out of it most. */
import type { Channels } from "../color";
import { byteAt, type Pixels } from "../pictures";
import type { Box } from "../layout";

export interface Ink {
  readonly ground: Channels;
  readonly ink: Channels;
}

/** How large a step of a channel is, in which like colours are counted together: 5 bits of it. */
const coarse = 3;

/** The ink is the mean of the px that are farthest from the ground: this share of them, and at least this many. */
const extreme = { share: 0.04, least: 4 } as const;

/** As many px tell of colours as all of them. */
const most = 20_000;

const apart = (one: Channels, other: Channels): number =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);

const meanOf = (colors: readonly Channels[]): Channels => {
  const sum = (channel: 0 | 1 | 2): number =>
    colors.reduce((total, color) => total + color[channel], 0) / colors.length;
  return [sum(0), sum(1), sum(2)];
};

/** The px of boxes, as far as they lie in a picture; upon white. */
function colorsIn({ data, width, height }: Pixels, boxes: readonly Box[]): readonly Channels[] {
  const found: Channels[] = [];
  const area = boxes.reduce((sum, box) => sum + box.width * box.height, 0);
  const stride = Math.max(1, Math.round(Math.sqrt(area / most)));
  for (const { left, top, width: across, height: down } of boxes)
    for (let y = Math.max(0, Math.round(top)); y < Math.min(height, Math.round(top + down)); y += stride)
      for (
        let x = Math.max(0, Math.round(left));
        x < Math.min(width, Math.round(left + across));
        x += stride
      ) {
        const at = (y * width + x) * 4;
        const alpha = byteAt(data, at + 3) / 255;
        const upon = (channel: number): number => byteAt(data, at + channel) * alpha + 255 * (1 - alpha);
        found.push([upon(0), upon(1), upon(2)]);
      }
  return found;
}

/** The colour that most px have, within the likeness that steps make. */
function commonest(colors: readonly Channels[]): Channels {
  const groups = new Map<number, Channels[]>();
  for (const color of colors) {
    const [red, green, blue] = color.map((channel) => channel >> coarse);
    const key = (red! << 10) | (green! << 5) | blue!;
    const group = groups.get(key);
    if (group) group.push(color);
    else groups.set(key, [color]);
  }
  return meanOf([...groups.values()].reduce((kept, next) => (next.length > kept.length ? next : kept)));
}

/** Null where the boxes lie beyond the picture. */
export function inkOf(pixels: Pixels, boxes: readonly Box[]): Ink | null {
  const colors = colorsIn(pixels, boxes);
  if (colors.length === 0) return null;
  const ground = commonest(colors);
  const farthest = colors
    .map((color) => ({ color, distance: apart(color, ground) }))
    .sort((one, other) => other.distance - one.distance)
    .slice(0, Math.max(extreme.least, Math.round(colors.length * extreme.share)));
  return { ground, ink: meanOf(farthest.map(({ color }) => color)) };
}

/** Thin strokes never reach their colour: how much of the way from ground to ink they go, by what is known of the design. */
export function reachOf(measured: Ink, color: Channels): number {
  const way = apart(color, measured.ground);
  return way < 24 ? 1 : Math.max(0.4, Math.min(1, apart(measured.ink, measured.ground) / way));
}

/** The colour that strokes would have that go so much of the way to it. */
export const colorBehind = ({ ground, ink }: Ink, reach: number): Channels => {
  const channel = (at: 0 | 1 | 2): number =>
    Math.max(0, Math.min(255, ground[at] + (ink[at] - ground[at]) / reach));
  return [channel(0), channel(1), channel(2)];
};
