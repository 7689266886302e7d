/** Values without parts: numbers, colours, choices, flags and texts. */
import { isHex } from "../color";
import { complain, describeValue, type Value } from "./value";

/** What a field for a number needs to know. */
export interface Range {
  readonly least: number;
  readonly most: number;
  /** The grid that the number lies on, counted from 0. */
  readonly step: number;
  /** Shown behind the number: "px", "×", "ms" or nothing. */
  readonly unit: string;
}

export type NumberValue = Value<number> & Range & { readonly kind: "number" };

/** A number from `least` to `most` on a grid of `step`. */
export function numberIn(least: number, most: number, step: number, unit = ""): NumberValue {
  const value = describeValue<number, "number">("number", (given) => {
    const onGrid =
      typeof given === "number" &&
      Number.isFinite(given) &&
      Math.abs(given / step - Math.round(given / step)) < 1e-6;
    return onGrid && given >= least && given <= most
      ? null
      : complain(`a number from ${least} to ${most} in steps of ${step}`, given);
  });
  return { ...value, least, most, step, unit };
}

/** The nearest number that a range lets be. */
export function within({ least, most, step }: Range, value: number): number {
  const held = Math.min(most, Math.max(least, Math.round(value / step) * step));
  // Steps such as 0.1 are no whole numbers of bits.
  return Math.round(held * 1000) / 1000;
}

/** A length in CSS px. */
export const px = (least: number, most: number, step = 1): NumberValue => numberIn(least, most, step, "px");

/** A ratio of another measure. */
export const ratio = (least: number, most: number, step: number): NumberValue =>
  numberIn(least, most, step, "×");

/** How many there are of something. */
export const count = (least: number, most: number): NumberValue => numberIn(least, most, 1);

export const milliseconds = (least: number, most: number, step: number): NumberValue =>
  numberIn(least, most, step, "ms");

/** A colour as six hex digits: the one form that every kind of client reads. */
export const color = describeValue<string, "color">("color", (value) =>
  typeof value === "string" && isHex(value) ? null : complain("a colour such as #3F5B2E", value),
);

export const flag = describeValue<boolean, "flag">("flag", (value) =>
  typeof value === "boolean" ? null : complain("true or false", value),
);

export interface ChoiceValue<T> extends Value<T> {
  readonly kind: "choice";
  readonly choices: readonly T[];
}

export function choice<const T extends string | number>(...choices: readonly T[]): ChoiceValue<T> {
  const known: readonly unknown[] = choices;
  return {
    ...describeValue<T, "choice">("choice", (value) =>
      known.includes(value) ? null : complain(`one of ${choices.join(", ")}`, value),
    ),
    choices,
  };
}

export interface TextValue extends Value<string> {
  readonly kind: "text";
  /** UTF-16 units. */
  readonly longest: number;
}

/** Any text of at most `longest` UTF-16 units without control characters (which no mail client shows). */
export const text = (longest: number): TextValue => ({
  ...describeValue<string, "text">("text", (value) =>
    typeof value === "string" && value.length <= longest && !/[\u0000-\u0008\u000b-\u001f\u007f]/.test(value)
      ? null
      : complain(`text of at most ${longest} characters`, value),
  ),
  longest,
});

/** Letters that turn the direction of what follows them, and would disorder a line of a list (Unicode UAX 9). */
const turning = /[\u200e\u200f\u061c\u202a-\u202e\u2066-\u2069]/;

/** What somebody calls a thing: {@link words} on one line, none of which turn what stands beside them. */
export const nameOf = (what: string, most: number, missing: string | null = null): TextValue => {
  const said = words(what, most, missing);
  return {
    ...said,
    check: (value) =>
      said.check(value) ??
      (/[\n\t]/.test((value as string).trim())
        ? `${what} stands on one line.`
        : turning.test(value as string)
          ? `${what} has no characters that turn the direction of writing.`
          : null),
  };
};

/**
 * Text that a person types into a field, taken without space around it. `what` is what it is, with a capital and an
 * article; `missing` is said where there must be some.
 */
export const words = (what: string, most: number, missing: string | null = null): TextValue => ({
  ...describeValue<string, "text">(
    "text",
    (value) => {
      if (typeof value !== "string") return `${what} is text.`;
      const said = value.trim();
      if (said === "" && missing !== null) return missing;
      if (said.length > most) return `${what} has at most ${most.toLocaleString("en")} characters.`;
      return /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/.test(said)
        ? `${what} has no control characters.`
        : null;
    },
    (value) => value.trim(),
  ),
  longest: most,
});
