/** What limits on CSS do to a declaration, each under the sentence that tells it. */
import { wordTable } from "../../values";
import { readValue, type Declaration, type ValuePart, type ValueReading } from "../../html";
import { isInterfaceFont, type Feature } from "./features";

/** Where a declaration stands. */
export interface Place {
  /** The element that it styles; null where a selector does not say. */
  readonly tagName: string | null;
  readonly inAttribute: boolean;
}

/**
 * Null where the limit does not touch it; "kept" where it works whatever the table says; "dropped"; "all-dropped" where the
 * whole style attribute or sheet goes with it; or what it becomes.
 */
export type Outcome = null | "kept" | "dropped" | "all-dropped" | readonly Declaration[];

export type DeclarationLimit = (declaration: Declaration, value: ValueReading, place: Place) => Outcome;

const dropIf =
  (when: (value: ValueReading, declaration: Declaration, place: Place) => boolean): DeclarationLimit =>
  (declaration, value, place) =>
    when(value, declaration, place) ? "dropped" : null;

const always = dropIf(() => true);

/** Drops a property with one of the keywords. */
const dropWords = (property: string, ...words: readonly string[]): DeclarationLimit =>
  dropIf(
    (value, declaration) => declaration.property === property && words.some((word) => value.words.has(word)),
  );

const dropOn = (...elements: readonly string[]): DeclarationLimit =>
  dropIf((_value, _declaration, { tagName }) => tagName !== null && elements.includes(tagName));

const onlyOn = (...elements: readonly string[]): DeclarationLimit =>
  dropIf((_value, _declaration, { tagName }) => tagName !== null && !elements.includes(tagName));

/** A list without its commas, which no browser understands. */
const commaLost: DeclarationLimit = (declaration, { layers }) =>
  layers.length > 1 ? [{ ...declaration, value: layers.join(" ") }] : null;

const hasSlash = ({ parts }: ValueReading): boolean => parts.some(({ kind }) => kind === "slash");

const spaced = (value: ValueReading, ...notations: readonly string[]): boolean =>
  value.colors.some((color) => color.spaced && notations.includes(color.notation));

const spacedDropped = dropIf((value) => spaced(value, "rgb", "rgba"));
const spacedDropsAll: DeclarationLimit = (_declaration, value) =>
  spaced(value, "rgb", "rgba") ? "all-dropped" : null;

/** Flow values of two parts, and keywords that only some readers know (CSS Display 3). */
const laterDisplays = ["flow-root", "contents", "revert"] as const;
const flexible = ["flex", "grid", "inline-flex", "inline-grid"] as const;

const logicalSides = ["inline-start", "inline-end"] as const;

/** A stack without the families that are not known; dropped where none other is named. */
const withoutFamilies =
  (gone: (word: string) => boolean): DeclarationLimit =>
  (declaration, { layers }) => {
    /** In the shorthand the first family stands after the size. */
    const familyIn = (layer: string): ValuePart | undefined => readValue(layer).parts.at(-1);
    const isGone = (layer: string): boolean => {
      const family = familyIn(layer);
      return family?.kind === "word" && gone(family.name);
    };
    const kept = layers.filter((layer) => !isGone(layer));
    if (kept.length === layers.length) return null;
    if (kept.length === 0) return "dropped";
    const [first = ""] = layers;
    const beforeFamily = first.slice(0, first.length - (familyIn(first)?.source.length ?? 0));
    return [{ ...declaration, value: (isGone(first) ? beforeFamily : "") + kept.join(",") }];
  };

/** The lightest weight that document engines draw bold. */
const boldFrom = 600;

/** In the shorthand of fonts, the number before the size: a height after the size stands behind a slash. */
const weightIn = (property: string, { parts }: ValueReading): ValuePart | undefined =>
  (property === "font-weight" ? parts.slice(0, 1) : parts).find(
    ({ kind, name, number }) =>
      kind === "number" && name === "" && (property === "font-weight" || number >= 100),
  );

/** Weights are normal or bold, by themselves and in the shorthand. */
const weightRounded: DeclarationLimit = (declaration, value) => {
  const weight = weightIn(declaration.property, value);
  if (!weight) return null;
  const rounded = weight.number < boldFrom ? "normal" : "bold";
  return [{ ...declaration, value: declaration.value.replace(weight.source, rounded) }];
};

/** Keywords of the background shorthand that are no colours. */
const backgroundWords = new Set(
  "no-repeat repeat repeat-x repeat-y space round scroll fixed local cover contain border-box padding-box content-box".split(
    " ",
  ),
);

/** A background shorthand that holds more than a colour keeps its colour, where it says one outside a gradient. */
const colorOnly: DeclarationLimit = (declaration, { parts, colors, functions }) => {
  const inGradient = [...functions].some((name) => /gradient$/.test(name));
  if (parts.length <= 1 && !inGradient && parts.every(({ kind }) => kind !== "address")) return null;
  const color = colors.findLast(({ source }) => !backgroundWords.has(source.toLowerCase()));
  return color && !inGradient
    ? [{ ...declaration, property: "background-color", value: color.source }]
    : "dropped";
};

const unmarked: DeclarationLimit = (declaration) => [{ ...declaration, mark: "" }];

const ownRuleBreaksWords =
  "The client adds its own rule that lets any long word break, so every value looks like break-all.";
const everyElementBreaksWords =
  "The client lets long words break on every element, whatever the message asks for.";

/** The limits by which a kind lets any long word break, also where a message says nothing of it. */
export const breaksAnyWord: ReadonlySet<string> = new Set([ownRuleBreaksWords, everyElementBreaksWords]);

export const declarationLimits: Partial<
  Readonly<Record<Feature, Readonly<Record<string, DeclarationLimit>>>>
> = {
  "css-background-image": {
    "Of a list of several pictures the comma is taken out, which makes the value invalid.": commaLost,
  },
  "css-background-position": {
    "Of a list of several positions the comma is taken out, which makes the value invalid.": commaLost,
  },
  "css-background-repeat": {
    "Of a list of several repeats the comma is taken out, which makes the value invalid.": commaLost,
  },
  "css-background-size": {
    "The property does not work in accounts with another provider; the size still works when written inside the background shorthand.":
      dropIf((_value, { property }) => property === "background-size"),
  },
  "css-background": {
    "Of a list of several layers the comma is taken out, which makes the value invalid.": commaLost,
    "The shorthand may not hold a size after a slash; the size works as a property of its own.":
      dropIf(hasSlash),
    "A list of several layers loses its comma, and with it the whole declaration.": dropIf(
      ({ layers }) => layers.length > 1,
    ),
    "The shorthand may not hold a size after a slash.": dropIf(hasSlash),
    "The shorthand works only when it holds nothing but a colour.": colorOnly,
  },
  "css-border-radius": {
    "Elliptical corners, written with a slash, do not work.": dropIf(hasSlash),
  },
  "css-box-shadow": {
    "Shadows work only in accounts with another provider, so in the provider's own accounts they are missing.":
      always,
  },
  "css-clear": {
    "The values that follow the writing direction do not work.": dropWords("clear", ...logicalSides),
  },
  "css-display-flex": {
    "Flex layout does not work in accounts with another provider.": dropWords(
      "display",
      "flex",
      "inline-flex",
    ),
  },
  "css-display-none": {
    "A picture cannot be hidden by a declaration of its own.": dropOn("img"),
  },
  "css-display": {
    "These values do not work: flow-root, inline-flex, inline-grid, inline flow, contents and revert.":
      dropIf(
        ({ words }) =>
          [...laterDisplays, "inline-flex", "inline-grid"].some((word) => words.has(word)) ||
          (words.has("inline") && words.has("flow")),
      ),
    "These values do not work: flex, grid, inline-flex, inline-grid, flow-root, contents, the two-part values inline flow-root, inline flex and inline grid, and initial, revert and unset.":
      dropWords("display", ...flexible, ...laterDisplays, "initial", "unset"),
    "In accounts with another provider these values do not work: flex, grid, flow-root, contents, the two-part values inline flow-root, inline flex and inline grid, and initial, revert and unset.":
      dropWords("display", "flex", "grid", ...laterDisplays, "initial", "unset"),
    "The only value that works is none, and that not on pictures.": dropIf(
      ({ words }, _declaration, { tagName }) => !words.has("none") || tagName === "img",
    ),
  },
  "css-float": {
    "The values that follow the writing direction do not work.": dropWords("float", ...logicalSides),
  },
  "css-font-size": {
    "Sizes in rem do not work.": dropIf(({ units }) => units.has("rem")),
    "Relative sizes and percentages do not work.": dropIf(
      ({ parts, words }) =>
        words.has("larger") || words.has("smaller") || parts.some(({ name }) => name === "%"),
    ),
  },
  "css-font-weight": {
    "Of the numbers only the nine full hundreds from 100 to 900 work.": dropIf((value, { property }) => {
      const weight = property === "font-weight" ? weightIn(property, value)?.number : undefined;
      return weight !== undefined && (weight % 100 !== 0 || weight < 100 || weight > 900);
    }),
    "A number below 600 is drawn as normal weight, 600 and above as bold.": weightRounded,
  },
  "css-height": {
    "The property is rewritten as a minimum height.": (declaration) => [
      { ...declaration, property: "min-height" },
    ],
    "Height does not work on body, span, div and p.": dropOn("body", "span", "div", "p"),
  },
  "css-linear-gradient": {
    "A gradient does not work as background-image in a style attribute.": dropIf(
      (_value, { property }, { inAttribute }) => inAttribute && property === "background-image",
    ),
    "Gradients do not work in accounts with another provider, here the one behind the office suite.": always,
  },
  "css-margin": {
    "Negative margins do not work.": dropIf(({ negative }) => negative),
    "Margins do not work on span and body.": dropOn("span", "body"),
    "The value auto does not work.": dropIf(({ words }) => words.has("auto")),
  },
  "css-max-width": {
    "A maximum width works on tables only.": onlyOn("table"),
  },
  "css-modern-color": {
    "One colour written with lch(), oklch(), lab() or oklab() in a style attribute costs the element all its inline styles.":
      (_declaration, { functions }, { inAttribute }) =>
        inAttribute && ["lch", "oklch", "lab", "oklab"].some((name) => functions.has(name))
          ? "all-dropped"
          : null,
  },
  "css-object-fit": {
    "The property does not work in accounts with another provider.": always,
  },
  "css-overflow": {
    "The two properties that follow the writing direction, overflow-block and overflow-inline, do not work.":
      dropIf((_value, { property }) => property === "overflow-block" || property === "overflow-inline"),
  },
  "css-padding": {
    "Padding works on table cells only.": onlyOn("td", "th"),
  },
  "css-position": {
    "Of the positioning values only sticky works.": dropWords("position", "relative", "absolute", "fixed"),
    "Of the positioning values only relative works.": dropWords("position", "absolute", "fixed", "sticky"),
    "The values sticky and fixed do not work.": dropWords("position", "sticky", "fixed"),
  },
  "css-rgb": {
    "The form with spaces instead of commas does not work.": spacedDropped,
    "The form with spaces instead of commas costs the whole style attribute, or the whole style sheet, that it stands in.":
      spacedDropsAll,
    "A fourth value for opacity does not work.": dropIf(({ colors }) =>
      colors.some(({ notation, alpha }) => notation === "rgb" && alpha),
    ),
  },
  "css-rgba": {
    "The form with spaces instead of commas does not work.": spacedDropped,
    "The form with spaces instead of commas costs the whole style attribute, or the whole style sheet, that it stands in.":
      spacedDropsAll,
  },
  "css-sytem-ui": {
    "Of the generic interface fonts only system-ui is known.": withoutFamilies(
      (word) => isInterfaceFont(word) && word !== "system-ui",
    ),
  },
  "css-text-align": {
    "The values start and end do not work.": dropWords("text-align", "start", "end"),
    "The values start and end do not work in accounts with another provider.": dropWords(
      "text-align",
      "start",
      "end",
    ),
  },
  "css-text-decoration": {
    "Only the kind of line can be set, not its style, colour or thickness.": dropIf(
      (_value, { property }) => property !== "text-decoration",
    ),
    "Several values in one declaration do not work.": dropIf(({ parts }) => parts.length > 1),
    "A line above the text does not work.": dropIf(({ words }) => words.has("overline")),
    "The property does not work in accounts with another provider.": always,
  },
  "css-text-indent": {
    "Negative indents do not work.": dropIf(({ negative }) => negative),
  },
  "css-text-transform": {
    "Text cannot be turned to small letters.": dropWords("text-transform", "lowercase"),
  },
  "css-variables": {
    "A use of a variable stays, but the declaration that gives it a value is dropped.": ({ property }) =>
      property.startsWith("--") ? "dropped" : "kept",
    "Neither the use nor the declaration works in accounts with another provider.": always,
  },
  "css-white-space": {
    "The property does not work in accounts with another provider.": always,
    "The value pre does not work.": dropWords("white-space", "pre"),
  },
  "css-width": {
    "Width does not work on body, span, div, p and img.": dropOn("body", "span", "div", "p", "img"),
  },
  "css-word-break": {
    [ownRuleBreaksWords]: (declaration, { words }) =>
      words.has("break-all") ? null : [declaration, { property: "word-wrap", value: "break-word", mark: "" }],
  },
  "css-word-wrap": {
    [everyElementBreaksWords]: (declaration, { words }) =>
      words.has("normal") ? [{ ...declaration, value: "break-word" }] : null,
  },
};

/** What a mark needs to be understood; each under its sentence. The declaration goes where it is not, or only its mark. */
export const markLimits = wordTable<DeclarationLimit>({
  "The keyword works only in small letters.": dropIf((_value, { mark }) => mark !== mark.toLowerCase()),
  "On a background picture the keyword is taken out unless a space stands before it.": (
    declaration,
    value,
    place,
  ) =>
    declaration.property === "background-image" && !declaration.mark.startsWith(" ")
      ? unmarked(declaration, value, place)
      : null,
  "The keyword works only with a space before it.": dropIf((_value, { mark }) => !mark.startsWith(" ")),
  "The keyword does not work in style attributes.": dropIf(
    (_value, _declaration, { inAttribute }) => inAttribute,
  ),
  "In accounts with another provider it works only in style attributes, as style sheets are not supported there.":
    () => null,
});

/** What the table's "no" means where it is not that the whole declaration goes. */
export const refusals: Partial<Readonly<Record<Feature, DeclarationLimit>>> = {
  "css-sytem-ui": withoutFamilies(isInterfaceFont),
};

/** Without the mark, where it is not understood and the declaration is. */
export const markRefused: DeclarationLimit = (declaration, value, place) =>
  declaration.mark === "" ? null : unmarked(declaration, value, place);
