/** What dark modes do to a colour, by what it is for and by the ground that it stands on. Lightness is that of OKLCH. */
import { contrast, lightnessOf, mirrorLightness, nearestColor, parseColor, readableContrast } from "../color";
import { remember } from "../memory";
import type { DarkMode } from "./stand-in";
import { standIns } from "./stand-ins";

/** What a colour is for. */
export type Role = "text" | "background" | "border";

/** What lies behind: the canvas of the message area, or a background that the message sets, light or dark. */
export type Ground = "canvas" | "light" | "dark";

/** The modes that change anything. */
export type Changing = Exclude<DarkMode, "none">;

/** Between what is called dark and light; the middle grey of a screen has 0.6. */
const middle = 0.5;

const isLight = (color: string): boolean => (lightnessOf(color) ?? 0) > middle;
const isDark = (color: string): boolean => (lightnessOf(color) ?? 1) < middle;

/** The dark modes that there are, each with the canvas that it draws on: the kinds that share a mode share that as well. */
const canvases: ReadonlyMap<Changing, string> = new Map(
  Object.values(standIns).flatMap(({ darkMode, canvas }) =>
    darkMode === "none" ? [] : [[darkMode, canvas.dark] as const],
  ),
);

const readsOn = (color: string, canvas: string): boolean => {
  const seen = parseColor(color);
  return seen === null || seen.alpha === 0 || contrast(color, canvas) >= readableContrast;
};

/** Lightened until it can be read on a canvas: mirrored where it is dark, and further where that is not enough. */
function lightened(color: string, canvas: string): string | null {
  if (lightnessOf(color) === null || readsOn(color, canvas)) return null;
  const light = isDark(color) ? (mirrorLightness(color) ?? color) : color;
  return readsOn(light, canvas) ? light : nearestColor(light, (hex) => readsOn(hex, canvas));
}

const mirroredIf = (color: string, mirrored: boolean): string | null =>
  mirrored ? mirrorLightness(color) : null;

/** What a mode makes of a colour; null where it leaves it as it is. */
const changes: Readonly<Record<Changing, (color: string, role: Role, ground: Ground) => string | null>> = {
  full: (color) => mirrorLightness(color),
  partial: (color, role, ground) =>
    mirroredIf(
      color,
      role === "background" ? isLight(color) : role === "text" ? isDark(color) : ground !== "dark",
    ),
  canvas: (color, role, ground) => {
    if (role === "background" || ground !== "canvas") return null;
    return role === "text"
      ? lightened(color, canvases.get("canvas") ?? "#000000")
      : mirroredIf(color, isDark(color));
  },
};

/** What is remembered of each mode, for each use of a colour on each ground. */
const known = new Map<string, (color: string) => string | null>();

/** What a dark mode makes of a CSS colour; null where it leaves it as it is. */
export function inTheDark(mode: Changing, color: string, role: Role, ground: Ground): string | null {
  const use = `${mode} ${role} ${ground}`;
  const before = known.get(use);
  if (before) return before(color);
  const change = remember((each: string) => changes[mode](each, role, ground));
  known.set(use, change);
  return change(color);
}

/** The ground that a background lays; null for what is no colour, or cannot be seen. */
export const groundOf = remember((color: string): Ground | null =>
  lightnessOf(color) === null ? null : isLight(color) ? "light" : "dark",
);

/** How text of a colour is drawn in some mode, and on what. */
export interface DrawnText {
  readonly mode: DarkMode;
  readonly color: string;
  readonly behind: string;
}

/**
 * How text of a colour is drawn on a background that the message sets, or on the canvas where that is null: as it is
 * designed, and in each dark mode.
 */
export function drawnText(color: string, background: string | null): readonly DrawnText[] {
  const ground = (background === null ? null : groundOf(background)) ?? "canvas";
  const changed = (mode: Changing, of: string, role: Role): string => inTheDark(mode, of, role, ground) ?? of;
  return [
    { mode: "none", color, behind: background ?? "#FFFFFF" },
    ...[...canvases].map(([mode, canvas]) => ({
      mode,
      color: changed(mode, color, "text"),
      behind: background === null ? canvas : changed(mode, background, "background"),
    })),
  ];
}
