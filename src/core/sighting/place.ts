/** Where a signature lies in a picture, and which of several places fits what was found. */

/** From px of the design to px of the picture: times `scale`, then from `left` and `top`. */
export interface Place {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

/** Displays show a px as so many of their own. */
export const usualScales: readonly number[] = [1, 2, 1.25, 1.5, 3, 1.75, 2.5, 2.625, 2.75, 3.5, 4];

/** What lies between and around them: zoomed pages, and what a phone shrinks to its width. */
export const otherScales: readonly number[] = (() => {
  const scales: number[] = [];
  for (let scale = 0.6; scale < 4.2; scale *= 1.035) scales.push(scale);
  return scales;
})();

/** Where something stands in the design, and where it was found in the picture. */
export interface Pin {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
  readonly weight: number;
}

/** How far from where a place has it something may be and still be said to be there; px of the design. */
const near = 1.5;

const apart = ({ from, to }: Pin, { scale, left, top }: Place): number =>
  Math.max(Math.abs(to[0] - left - from[0] * scale), Math.abs(to[1] - top - from[1] * scale)) / scale;

/** The share of what was found, by weight, that is where a place has it. */
export function agreement(pins: readonly Pin[], place: Place): number {
  const all = pins.reduce((sum, { weight }) => sum + weight, 0);
  const there = pins.reduce((sum, pin) => sum + (apart(pin, place) <= near ? pin.weight : 0), 0);
  return all === 0 ? 0 : there / all;
}

const center = (pins: readonly Pin[], of: (pin: Pin) => number): number =>
  pins.reduce((sum, pin) => sum + of(pin) * pin.weight, 0) /
  pins.reduce((sum, { weight }) => sum + weight, 0);

/** The place that fits all pins best, by least squares; at the scale given, or at one of its own. */
function fitted(pins: readonly Pin[], scale?: number): Place {
  const [x, y] = [center(pins, ({ from }) => from[0]), center(pins, ({ from }) => from[1])];
  const [u, v] = [center(pins, ({ to }) => to[0]), center(pins, ({ to }) => to[1])];
  let [along, spread] = [0, 0];
  for (const { from, to, weight } of pins) {
    along += weight * ((from[0] - x) * (to[0] - u) + (from[1] - y) * (to[1] - v));
    spread += weight * ((from[0] - x) ** 2 + (from[1] - y) ** 2);
  }
  const own = scale ?? (spread > 0 && along > 0 ? along / spread : 1);
  return { scale: own, left: u - x * own, top: v - y * own };
}

/** Scales this close to a usual one are that. */
const snap = 0.012;

/**
 * The place on which most of what was found agrees, by weight: each pin proposes one at the scale of the guess, and the best
 * is fitted to those that agree with it. Where several do as well, it is the one that keeps what stands highest.
 */
export function agreedPlace(pins: readonly Pin[], guess: Place): Place {
  let place = guess;
  const agreeing = (of: Place, within: number): readonly Pin[] =>
    pins.filter((pin) => apart(pin, of) <= within);
  const best = (scale: number): Place => {
    const proposed = [...pins]
      .sort((one, other) => one.from[1] - other.from[1])
      .map(({ from, to }): Place => ({ scale, left: to[0] - from[0] * scale, top: to[1] - from[1] * scale }));
    return proposed.reduce(
      (kept, next) => (agreement(pins, next) > agreement(pins, kept) + 0.02 ? next : kept),
      place,
    );
  };
  for (const within of [6, 3, near]) {
    place = best(place.scale);
    const there = agreeing(place, within);
    // Two points of one row tell a scale badly.
    if (there.length < 3) break;
    const own = fitted(there);
    const usual = usualScales.find((scale) => Math.abs(own.scale / scale - 1) < snap);
    place = usual === undefined ? own : fitted(there, usual);
  }
  return place;
}
