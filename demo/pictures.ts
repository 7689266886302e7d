/** The demo's originals, and the cuts that its signatures use. */
import {
  displaySize,
  plainRecipe,
  publicFileName,
  wholeCrop,
  type HostedType,
  type Rectangle,
  type Recipe,
} from "@/core/pictures";
import { glyphSvg, glyphWeight, iconRecipe, type IconLook } from "@/core/icons";
import { findContent } from "@/server/imaging/find-content";
import { bannerSvg, bareIconSvg, brand, logoSvg, toPng } from "./brand";
import { networks } from "./networks";
import { portraitPlans } from "./portrait-plans";
import { drawPortrait } from "./portraits";

export interface OriginalPlan {
  readonly file: string;
  readonly draw: () => Promise<Buffer>;
}

export interface CutPlan {
  /** The key by which signatures name it. */
  readonly key: string;
  readonly original: string;
  readonly name: string;
  readonly recipe: Recipe;
}

/** How the icon row of the trust is drawn. */
export const iconLook: IconLook = { style: "circle", color: brand.bone, plate: brand.moss };
export const iconSize = 24;

const drawGlyph = (glyph: string): Buffer => Buffer.from(glyphSvg(glyph, glyphWeight(iconLook)));

/** The icons of the row, the web and four networks: what each stands for, its glyph, and how it is cut. */
export const rowIcons = await Promise.all(
  [{ name: "web", glyph: "web" }, ...networks.slice(0, 4).map(({ id, glyph }) => ({ name: id, glyph }))].map(
    async ({ name, glyph }) => ({
      name,
      glyph,
      recipe: iconRecipe(await findContent(drawGlyph(glyph)), iconLook, iconSize),
    }),
  ),
);

export const originalPlans: readonly OriginalPlan[] = [
  ...portraitPlans.map((plan) => ({ file: `${plan.person}.jpg`, draw: () => drawPortrait(plan) })),
  { file: "harrow-fen-logo.png", draw: () => toPng(logoSvg(brand.moss, brand.moss)) },
  { file: "harrow-fen-logo-black.png", draw: () => toPng(logoSvg("#111111", "#111111")) },
  { file: "open-store-weekend.png", draw: () => toPng(bannerSvg()) },
  ...rowIcons.map(({ glyph }) => ({
    file: `${glyph}.svg`,
    draw: () => Promise.resolve(drawGlyph(glyph)),
  })),
  ...Object.entries({ web: "globe", plotline: "camera", hedgepost: "message-circle" }).map(
    ([name, drawing]) => ({
      file: `found-${name}.png`,
      draw: async () => toPng(await bareIconSvg(drawing, "#111111")),
    }),
  ),
];

/** A square around a portrait's face, in original px. */
function faceCrop(person: string): Rectangle {
  const plan = portraitPlans.find((candidate) => candidate.person === person)!;
  const side = Math.round(520 * plan.scale);
  return { x: plan.x - side / 2, y: plan.y - Math.round(side * 0.52), width: side, height: side };
}

const portrait = (person: string, size: number): CutPlan => ({
  key: `portrait-${person}-${size}`,
  original: `${person}.jpg`,
  name: person,
  recipe: {
    ...plainRecipe(faceCrop(person), { width: size, height: size }),
    frame: { shape: "circle", ring: { width: 2, gap: 0, color: brand.ochre } },
  },
});

const whole = (
  key: string,
  original: string,
  name: string,
  natural: { width: number; height: number },
  asked: { width: number } | { height: number },
): CutPlan => ({
  key,
  original,
  name,
  recipe: plainRecipe(wholeCrop(natural), displaySize(natural, asked)),
});

const logo = { width: 568, height: 200 };
const icon = { width: 96, height: 96 };

export const cutPlans: readonly CutPlan[] = [
  portrait("tamsin-okafor", 96),
  portrait("layla-mansour", 88),
  whole("logo", "harrow-fen-logo.png", "harrow-fen-logo", logo, { height: 44 }),
  whole("logo-black", "harrow-fen-logo-black.png", "harrow-fen-logo-black", logo, { height: 44 }),
  whole(
    "banner",
    "open-store-weekend.png",
    "open-store-weekend",
    { width: 1260, height: 240 },
    { width: 420 },
  ),
  ...rowIcons.map(({ name, glyph, recipe }) => ({
    key: `icon-${name}`,
    original: `${glyph}.svg`,
    name,
    recipe,
  })),
  whole("found-web", "found-web.png", "web", icon, { height: 30 }),
  whole("found-plotline", "found-plotline.png", "plotline", icon, { height: 22 }),
  whole("found-hedgepost", "found-hedgepost.png", "hedgepost", icon, { height: 26 }),
];

export const cutFileName = (plan: CutPlan, type: HostedType): string => publicFileName(plan.name, type);
