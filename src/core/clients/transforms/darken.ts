/**
 * A message as it is drawn in dark mode. Pictures are never changed. Text, backgrounds and borders are, in OKLCH, each by
 * what the kind's mode does to it and by the ground that it stands on.
 */
import { wordTable } from "../../values";
import {
  attributeOf,
  declarationText,
  isElement,
  isText,
  mapColors,
  parseDeclarations,
  setAttribute,
  type Declaration,
  type Element,
} from "../../html";
import { remember } from "../../memory";
import type { Report } from "../changes";
import { groundOf, inTheDark, type Changing, type Ground, type Role } from "../dark-colors";
import type { StandIn } from "../stand-in";
import { wrapBody } from "./body-to-div";
import { mapSheetColors } from "./map-sheet-colors";

const roles: readonly (readonly [properties: RegExp, role: Role])[] = [
  [/^(color|text-decoration(-color)?|caret-color|fill|-webkit-text-fill-color)$/, "text"],
  [/^background(-color|-image)?$/, "background"],
  [
    /^(border(-(top|right|bottom|left|block|inline)(-(start|end))?)?(-color)?|outline(-color)?|column-rule(-color)?)$/,
    "border",
  ],
];

const roleOf = (property: string): Role | null =>
  roles.find(([properties]) => properties.test(property))?.[1] ?? null;

function darkened({ property, value, mark }: Declaration, mode: Changing, ground: Ground): Declaration {
  const role = roleOf(property);
  if (role === null) return { property, value, mark };
  return {
    property,
    mark,
    value: mapColors(value, (color) => inTheDark(mode, color, role, ground)),
  };
}

interface DarkStyle {
  readonly text: string;
  /** The ground that it lays, or null where it lays none. */
  readonly lays: Ground | null;
}

function laidBy(declarations: readonly Declaration[]): Ground | null {
  let ground: Ground | null = null;
  for (const { property, value } of declarations)
    if (property === "background-color" || property === "background")
      mapColors(value, (color) => {
        ground = groundOf(color) ?? ground;
        return null;
      });
  return ground;
}

/** A style attribute in a mode, on the ground around it, which what the style lays itself comes before. */
const darkStyles = remember((mode: Changing) =>
  remember((on: Ground) =>
    remember((style: string): DarkStyle => {
      const declarations = parseDeclarations(style);
      const lays = laidBy(declarations);
      const ground = lays ?? on;
      const text = declarationText(declarations.map((declaration) => darkened(declaration, mode, ground)));
      return { text, lays };
    }),
  ),
);

/** Attributes that hold a colour, and what it is for (WHATWG HTML 15.3). */
const colorAttributes = wordTable<Role>({
  bgcolor: "background",
  bordercolor: "border",
  color: "text",
  text: "text",
});

function darkenElement(element: Element, mode: Changing, on: Ground): Ground {
  const style = attributeOf(element, "style");
  const dark = style === null ? null : darkStyles(mode)(on)(style);
  const background = attributeOf(element, "bgcolor");
  const ground = dark?.lays ?? (background === null ? null : groundOf(background)) ?? on;
  if (dark && dark.text !== style) setAttribute(element, "style", dark.text);
  for (const attribute of element.attrs) {
    const role = colorAttributes[attribute.name];
    if (role) attribute.value = inTheDark(mode, attribute.value, role, ground) ?? attribute.value;
  }
  return ground;
}

/** Rules of a style sheet are taken to stand on the canvas: what they will stand on is not known. */
function darkenSheet(sheet: Element, mode: Changing): void {
  for (const child of sheet.childNodes)
    if (isText(child))
      child.value = mapSheetColors(child.value, (property, color) => {
        const role = roleOf(property);
        return role && inTheDark(mode, color, role, "canvas");
      });
}

const said: Readonly<Record<Changing, string>> = {
  full: "full dark mode mirrors the lightness of each",
  partial: "dark mode darkens light backgrounds and lightens dark text",
  canvas: "dark mode lightens text that is too dark for its canvas",
};

/** Draws a message in the kind's dark mode, on its dark canvas. */
export function darken(body: Element, standIn: StandIn, report: Report): void {
  const mode = standIn.darkMode;
  if (mode === "none") return;
  const waiting: { readonly parent: Element; readonly ground: Ground }[] = [
    { parent: body, ground: "canvas" },
  ];
  for (let next = waiting.pop(); next; next = waiting.pop())
    for (const child of next.parent.childNodes) {
      if (!isElement(child)) continue;
      if (child.tagName === "style") darkenSheet(child, mode);
      else waiting.push({ parent: child, ground: darkenElement(child, mode, next.ground) });
    }
  wrapBody(body, "div", { style: `background-color:${standIn.canvas.dark};color:${standIn.text.dark}` });
  report("colors-mirrored", "every colour", said[mode]);
}
