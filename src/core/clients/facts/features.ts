/**
 * Which feature of the support table a declaration, attribute or element falls under. The table itself,
 * `client-support.json`, is a reduction of a public, MIT-licensed support data set for e-mail HTML (state of
 * September 2025) to the kinds of client that are simulated here.
 */
import table from "./client-support.json";

export type Support = "yes" | "partly" | "no" | "unknown";
export type Feature = keyof typeof table.features;

/** CSS properties that share a feature, or whose feature is not called `css-` and the property's name. */
const propertyFeatures: Readonly<Record<string, Feature>> = {
  "background-image": "css-background-image",
  "background-position": "css-background-position",
  "background-repeat": "css-background-repeat",
  "background-size": "css-background-size",
  "background-color": "css-background-color",
  background: "css-background",
  "border-top": "css-border",
  "border-right": "css-border",
  "border-bottom": "css-border",
  "border-left": "css-border",
  "border-top-left-radius": "css-border-radius",
  "border-top-right-radius": "css-border-radius",
  "border-bottom-left-radius": "css-border-radius",
  "border-bottom-right-radius": "css-border-radius",
  "font-family": "css-font",
  "margin-top": "css-margin",
  "margin-right": "css-margin",
  "margin-bottom": "css-margin",
  "margin-left": "css-margin",
  "padding-top": "css-padding",
  "padding-right": "css-padding",
  "padding-bottom": "css-padding",
  "padding-left": "css-padding",
  "overflow-wrap": "css-word-wrap",
  top: "css-position",
  right: "css-position",
  bottom: "css-position",
  left: "css-position",
};

/** Parts of values that are features of their own: a pattern over the value, and the feature it shows. */
const valueFeatures: readonly (readonly [property: RegExp, value: RegExp, feature: Feature])[] = [
  [/^display$/, /\bflex\b/, "css-display-flex"],
  [/^display$/, /^none$/, "css-display-none"],
  [/./, /(^|[\s,(])-?[\d.]+rem\b/, "css-unit-rem"],
  [/./, /\brgba\(/i, "css-rgba"],
  [/./, /\b(oklch|oklab|lch|lab|hwb|color)\(/i, "css-modern-color"],
  [/./, /\bvar\(/, "css-variables"],
  [/^background/, /\burl\(/i, "css-background-image"],
  [/^background/, /linear-gradient\(/i, "css-linear-gradient"],
  [/^font/, /\bsystem-ui\b/, "css-sytem-ui"],
];

const attributeFeatures: Readonly<Record<string, Feature>> = {
  align: "html-align",
  "aria-hidden": "html-aria-hidden",
  "aria-label": "html-aria-label",
  "aria-labelledby": "html-aria-labelledby",
  background: "html-background",
  cellpadding: "html-cellpadding",
  cellspacing: "html-cellspacing",
  height: "html-height",
  lang: "html-lang",
  role: "html-role",
  srcset: "html-srcset",
  target: "html-target",
  valign: "html-valign",
  width: "html-width",
};

const isFeature = (name: string): name is Feature => Object.hasOwn(table.features, name);

/** The features that a declaration needs; none when the table says nothing of it. */
export function declarationFeatures(property: string, value: string): readonly Feature[] {
  const named = `css-${property}`;
  const own = propertyFeatures[property] ?? (isFeature(named) ? named : null);
  const inValue = valueFeatures
    .filter(([properties, values]) => properties.test(property) && values.test(value))
    .map(([, , feature]) => feature);
  return own ? [own, ...inValue] : inValue;
}

export const attributeFeature = (name: string): Feature | null => attributeFeatures[name] ?? null;

/** What the table says of a feature in a kind of client. */
export const supportOf = (feature: Feature, client: keyof (typeof table.features)[Feature]): Support =>
  table.features[feature][client] as Support;
