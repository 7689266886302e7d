/**
 * Which feature of the support table a declaration, attribute or picture falls under. The table itself,
 * `client-support.json`, is a reduction of a public, MIT-licensed support data set for e-mail HTML (state of
 * September 2025) to the kinds of client that are simulated here.
 */
import { wordTable } from "../../values";
import { readValue, type ValueReading } from "../../html";
import table from "./client-support.json" with { type: "json" };

export type Support = "yes" | "partly" | "no" | "unknown";
export type Feature = keyof typeof table.features;

export const features = Object.keys(table.features) as readonly Feature[];

/** Properties that share a feature: shorthands, sides and their logical names (CSS Logical Properties 1). */
const families: readonly (readonly [properties: RegExp, feature: Feature])[] = [
  [/^--/, "css-variables"],
  [/^margin-/, "css-margin"],
  [/^padding-/, "css-padding"],
  [/^border(-[a-z]+){1,2}-radius$/, "css-border-radius"],
  [/^border-(?!collapse$|spacing$|radius$)/, "css-border"],
  [/^outline-/, "css-outline"],
  [/^background-position-[xy]$/, "css-background-position"],
  [/^overflow-(?!wrap$)/, "css-overflow"],
  [/^overflow-wrap$/, "css-word-wrap"],
  [/^text-decoration-(?!line$)/, "css-text-decoration"],
  [/^font-family$/, "css-font"],
  [/^(inset(-.*)?|top|right|bottom|left)$/, "css-position"],
  [/^inline-size$/, "css-width"],
  [/^block-size$/, "css-height"],
  [/^max-inline-size$/, "css-max-width"],
  [/^max-block-size$/, "css-max-height"],
  [/^min-inline-size$/, "css-min-width"],
  [/^min-block-size$/, "css-min-height"],
];

const isFeature = (name: string): name is Feature => Object.hasOwn(table.features, name);

/** Features that a value needs, beside that of its property. */
const valueFeatures: readonly (readonly [
  properties: RegExp,
  needs: (value: ValueReading) => boolean,
  feature: Feature,
])[] = [
  [/^display$/, ({ words }) => words.has("flex") || words.has("inline-flex"), "css-display-flex"],
  [/^display$/, ({ words }) => words.has("none"), "css-display-none"],
  [/^font$/, () => true, "css-font-size"],
  [/^font$/, () => true, "css-font-weight"],
  [/^font(-family)?$/, ({ words }) => [...words].some(isInterfaceFont), "css-sytem-ui"],
  [/./, ({ colors }) => colors.some(({ notation }) => notation === "rgb"), "css-rgb"],
  [
    /./,
    ({ colors }) => colors.some(({ notation, alpha }) => alpha && notation !== "rgb" && !isModern(notation)),
    "css-rgba",
  ],
  [/./, ({ colors }) => colors.some(({ notation }) => isModern(notation)), "css-modern-color"],
  [/./, ({ functions }) => functions.has("var"), "css-variables"],
  [/^background/, ({ parts }) => parts.some(({ kind }) => kind === "address"), "css-background-image"],
  [
    /^background/,
    ({ functions }) => [...functions].some((name) => /gradient$/.test(name)),
    "css-linear-gradient",
  ],
];

/** Generic families of the reader's own interface (CSS Fonts 4, section 2.1.4). */
export const isInterfaceFont = (word: string): boolean => word === "system-ui" || word.startsWith("ui-");

const isModern = (notation: string): boolean =>
  ["hwb", "lab", "lch", "oklab", "oklch", "color", "color-mix"].includes(notation);

const unitNames = wordTable<string>({ "%": "percent" });

const attributeFeatures = wordTable<Feature>({
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
});

function propertyFeature(property: string): Feature | null {
  const named = `css-${property}`;
  if (isFeature(named)) return named;
  return families.find(([properties]) => properties.test(property))?.[1] ?? null;
}

/** The features that a declaration needs, its property's first; none when the table says nothing of it. */
export function declarationFeatures(property: string, value: string): readonly Feature[] {
  const own = propertyFeature(property);
  const found: Feature[] = own ? [own] : [];
  const reading = readValue(value);
  for (const [properties, needs, feature] of valueFeatures)
    if (feature !== own && properties.test(property) && needs(reading)) found.push(feature);
  for (const unit of reading.units) {
    const feature = `css-unit-${unitNames[unit] ?? unit}`;
    if (isFeature(feature)) found.push(feature);
  }
  return found;
}

export const attributeFeature = (name: string): Feature | null => attributeFeatures[name] ?? null;

/** Formats of pictures, by what their address ends in or says of its bytes. */
const formats = wordTable<Feature>({
  apng: "image-apng",
  avif: "image-avif",
  gif: "image-gif",
  jpeg: "image-jpg",
  jpg: "image-jpg",
  png: "image-png",
  svg: "image-svg",
  webp: "image-webp",
});

export interface PictureAddress {
  /** "png", "svg" …, in small letters; empty where the address does not say. */
  readonly format: string;
  /** Whether its bytes stand in the address (RFC 2397). */
  readonly embedded: boolean;
}

export function readPictureAddress(address: string): PictureAddress {
  const trimmed = address.trim();
  const embedded = /^data:(?:image\/([a-z]+))?/i.exec(trimmed);
  if (embedded) return { format: (embedded[1] ?? "").toLowerCase(), embedded: true };
  const [path = ""] = trimmed.split(/[?#]/);
  const format = /\.([a-z0-9]+)$/i.exec(path)?.[1]?.toLowerCase() ?? "";
  return { format: formats[format] ? format : "", embedded: false };
}

export const pictureFeatures = ({ format, embedded }: PictureAddress): readonly Feature[] => [
  ...(formats[format] ? [formats[format]] : []),
  ...(embedded ? (["image-base64"] as const) : []),
];

/** What the table says of a feature in a kind of client. */
export const supportOf = (feature: Feature, client: keyof (typeof table.features)[Feature]): Support =>
  table.features[feature][client] as Support;
