/**
 * What an attribute of the document may hold. A check answers with a complaint that reads on from the
 * attribute's name ("width must be …"), or null when the value is fine. Lengths are CSS px.
 */
export type Check = (value: unknown) => string | null;

const shown = (value: unknown): string => {
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

const complain = (rule: string, value: unknown): string => `must be ${rule}, not ${shown(value)}`;

/** Any text of at most `longest` UTF-16 units without control characters (which no mail client shows). */
export const text =
  (longest: number): Check =>
  (value) =>
    typeof value === "string" && value.length <= longest && !/[\u0000-\u0008\u000b-\u001f\u007f]/.test(value)
      ? null
      : complain(`text of at most ${longest} characters`, value);

export const flag: Check = (value) => (typeof value === "boolean" ? null : complain("true or false", value));

/** A number from `least` to `most` on a grid of `step`. */
export const number =
  (least: number, most: number, step: number): Check =>
  (value) => {
    const onGrid =
      typeof value === "number" &&
      Number.isFinite(value) &&
      Math.abs(value / step - Math.round(value / step)) < 1e-6;
    return onGrid && value >= least && value <= most
      ? null
      : complain(`a number from ${least} to ${most} in steps of ${step}`, value);
  };

/** The size of text in px. Hundredths, so that a size given in points comes back as it was given. */
export const textSize = number(6, 72, 0.01);

/** A colour as six hex digits: the one form that every kind of client reads. */
export const hexColor: Check = (value) =>
  typeof value === "string" && /^#[0-9a-fA-F]{6}$/.test(value)
    ? null
    : complain("a colour such as #3F5B2E", value);

export const oneOf =
  (...choices: readonly string[]): Check =>
  (value) =>
    typeof value === "string" && choices.includes(value)
      ? null
      : complain(`one of ${choices.join(", ")}`, value);

export const optional =
  (check: Check): Check =>
  (value) =>
    value === null ? null : check(value);

/** Addresses that would run when followed. Everything else may stand in a document and be judged as a finding. */
const running = /^(javascript|vbscript|data):/i;

/** Where a link leads. White space and control characters are refused, since clients strip them differently. */
export const linkTarget: Check = (value) => {
  if (typeof value !== "string" || value.length === 0 || value.length > 2000)
    return complain("an address of at most 2000 characters", value);
  if (/[\s\u0000-\u001f\u007f]/.test(value)) return complain("an address without spaces", value);
  return running.test(value) ? complain("an address that runs nothing", value) : null;
};

const campaignParts = ["source", "medium", "name"] as const;

/** The parameters of a campaign: a short text each, of which one at least says something. */
export const campaign: Check = (value) => {
  if (typeof value !== "object" || value === null || Array.isArray(value))
    return complain("an object with source, medium and name", value);
  const given = value as Record<string, unknown>;
  for (const part of campaignParts) {
    const complaint = text(60)(given[part]);
    if (complaint) return `${part} ${complaint}`;
  }
  if (Object.keys(given).length !== campaignParts.length)
    return complain("source, medium and name only", value);
  return campaignParts.some((part) => given[part] !== "")
    ? null
    : complain("a campaign that says something", value);
};

/** Where a picture's bytes are: a hosted path `/h/…`, or an address from elsewhere; empty while none is chosen. */
export const pictureSource: Check = (value) => {
  if (typeof value !== "string" || value.length > 2000)
    return complain("a picture's address of at most 2000 characters", value);
  if (/[\u0000-\u001f\u007f"<>]/.test(value)) return complain("an address without quotes or brackets", value);
  return /^(javascript|vbscript):/i.test(value) ? complain("an address that runs nothing", value) : null;
};

export const sideNames = ["top", "right", "bottom", "left"] as const;
export type SideName = (typeof sideNames)[number];
export type Sides<T> = Readonly<Record<SideName, T>>;

/** The same check for each of the four sides. */
export const sides =
  (check: Check): Check =>
  (value) => {
    if (typeof value !== "object" || value === null || Array.isArray(value))
      return complain("an object with top, right, bottom and left", value);
    const given = value as Record<string, unknown>;
    for (const name of Object.keys(given))
      if (!(sideNames as readonly string[]).includes(name)) return `has no side ${shown(name)}`;
    for (const name of sideNames) {
      if (!(name in given)) return `lacks its side ${name}`;
      const complaint = check(given[name]);
      if (complaint) return `${name} ${complaint}`;
    }
    return null;
  };

export type BorderStyle = "solid" | "dashed" | "dotted";
/** One side's border; width in px, in steps of 0.5. */
export interface Border {
  readonly width: number;
  readonly style: BorderStyle;
  readonly color: string;
}

export const borderStyles: readonly BorderStyle[] = ["solid", "dashed", "dotted"];

const borderParts: Record<keyof Border, Check> = {
  width: number(0.5, 8, 0.5),
  style: oneOf(...borderStyles),
  color: hexColor,
};

export const border: Check = (value) => {
  if (typeof value !== "object" || value === null)
    return complain("a border with width, style and color", value);
  for (const [name, check] of Object.entries(borderParts)) {
    const complaint = check((value as Record<string, unknown>)[name]);
    if (complaint) return `${name} ${complaint}`;
  }
  return null;
};

/** The most px that a column may have. */
export const widestColumn = 2000;

/** Widths of the columns that a cell covers, one each, in px. */
export const columnWidths: Check = (value) =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.every((width) => number(1, widestColumn, 1)(width) === null)
    ? null
    : complain("a list of widths in whole px", value);

export const noSides = <T>(value: T): Sides<T> => ({ top: value, right: value, bottom: value, left: value });
