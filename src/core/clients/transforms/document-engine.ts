/**
 * What a document engine draws of a message, written as HTML of which a browser draws the same. Lengths in px. The tables
 * have been carried out before; this is what is left of rows, borders, paragraphs, links, pictures and hidden elements.
 */
import { largest } from "../../values";
import {
  attributeOf,
  declarationText,
  elementsIn,
  insertBefore,
  isElement,
  isText,
  lastValue,
  lengthOf,
  nodesIn,
  paddingSide,
  parseDeclarations,
  readValue,
  removeAttribute,
  setAttribute,
  withDeclaration,
  type Declaration,
  type Element,
  type ParentNode,
} from "../../html";
import type { Report } from "../changes";
import type { KindFacts } from "../facts/kind-facts";
import type { OwnMessage } from "../message";
import { documentEngine, standIns } from "../stand-ins";
import { wrapBody } from "./body-to-div";
import type { Display } from "./own-behaviours";

const isCell = ({ tagName }: Element): boolean => tagName === "td" || tagName === "th";

const declarationsOf = (element: Element): readonly Declaration[] =>
  parseDeclarations(attributeOf(element, "style") ?? "");

const setDeclarations = (element: Element, declarations: readonly Declaration[]): void =>
  declarations.length > 0
    ? setAttribute(element, "style", declarationText(declarations))
    : removeAttribute(element, "style");

const declare = (element: Element, property: string, value: string): void =>
  setDeclarations(element, withDeclaration(declarationsOf(element), property, value));

const parentElement = ({ parentNode }: Element): Element | null =>
  parentNode && "tagName" in parentNode ? parentNode : null;

/** The size of an element's text, which its lengths in em are of. */
function sizeOf(element: Element): number {
  let factor = 1;
  for (let at: Element | null = element; at; at = parentElement(at)) {
    const size = lastValue(declarationsOf(at), "font-size");
    const [part] = size === null ? [] : readValue(size).parts;
    if (!part) continue;
    if (part.name === "em") factor *= part.number;
    else if (part.name === "%") factor *= part.number / 100;
    else {
      const length = lengthOf(part, 0);
      if (length !== null) return factor * length;
    }
  }
  return factor * standIns["desktop-document"].type.size;
}

const borderWidths = /^border(-(top|right|bottom|left|block|inline)(-(start|end))?)?(-width)?$/;

/** Borders wider than the engine draws, in whatever unit, at the widest that it draws. */
function thinBorders(element: Element, report: Report): void {
  const style = attributeOf(element, "style");
  // Most elements have none, and need not be read for them.
  if (!style?.toLowerCase().includes("border")) return;
  const declarations = declarationsOf(element);
  let thinner = false;
  const thinned = declarations.map((declaration) => {
    if (!borderWidths.test(declaration.property)) return declaration;
    const { parts } = readValue(declaration.value);
    const tooWide = parts.filter(
      (part) =>
        part.kind === "number" &&
        (lengthOf(part, part.name === "em" ? sizeOf(element) : 0) ?? 0) > documentEngine.widestBorder,
    );
    if (tooWide.length === 0) return declaration;
    thinner = true;
    report(
      "border-thinned",
      `${declaration.property}:${declaration.value}`,
      "borders are drawn 8 px wide at most",
    );
    const cap = `${documentEngine.widestBorder}px`;
    const value = parts.map((part) => (tooWide.includes(part) ? cap : part.source)).join(" ");
    return { ...declaration, value };
  });
  if (thinner) setDeclarations(element, thinned);
}

/** What a table says of the padding of all its cells; 1 where it says nothing (WHATWG HTML 15.3.8). */
function cellPadding(cell: Element): number {
  for (let at = parentElement(cell); at; at = parentElement(at))
    if (at.tagName === "table") return Number.parseFloat(attributeOf(at, "cellpadding") ?? "1") || 0;
  return 1;
}

/** All cells of a row get the row's largest top and bottom padding. */
function equaliseRowPadding(row: Element, report: Report): void {
  const cells = row.childNodes.filter(isElement).filter(isCell);
  if (cells.length < 2) return;
  for (const side of ["top", "bottom"] as const) {
    const paddings = cells.map(
      (cell) => paddingSide(declarationsOf(cell), side, () => sizeOf(cell)) ?? cellPadding(cell),
    );
    const most = largest(paddings);
    if (paddings.every((padding) => padding === most)) continue;
    report(
      "row-padding-equalised",
      `padding-${side} ${paddings.map((padding) => `${padding}px`).join(", ")}`,
      `every cell of the row gets ${most}px`,
    );
    for (const cell of cells)
      setDeclarations(cell, [
        ...declarationsOf(cell),
        { property: `padding-${side}`, value: `${most}px`, mark: "" },
      ]);
  }
}

const saysColor = (element: Element): boolean =>
  lastValue(declarationsOf(element), "color") !== null ||
  (element.tagName === "font" && attributeOf(element, "color") !== null);

/** Whether every piece of text in a link stands in an element inside it that says its colour. */
function textHasColor(link: Element): boolean {
  const colored = new Set<ParentNode>();
  return nodesIn(link).every((node) => {
    const parent = node.parentNode;
    const inColor = parent !== null && colored.has(parent);
    if (isText(node)) return inColor || node.value.trim() === "";
    if (isElement(node) && (inColor || saysColor(node))) colored.add(node);
    return true;
  });
}

function colorLink(link: Element, report: Report): void {
  if (attributeOf(link, "href") === null || textHasColor(link)) return;
  const said = lastValue(declarationsOf(link), "color") ?? "no colour";
  report("link-recoloured", said, "the text inside says no colour of its own");
  declare(link, "color", standIns["desktop-document"].linkColor.light);
  declare(link, "text-decoration", "underline");
}

/** Sizes in attributes: what is missing is taken of the file, and so is a percentage. */
function sizePicture(picture: Element, { scale }: Display, report: Report): void {
  const missing: string[] = [];
  for (const name of ["width", "height"] as const) {
    const value = attributeOf(picture, name);
    if (value === null) missing.push(name);
    else if (value.trim().endsWith("%")) {
      report("picture-percent", `${name} ${value}`, "a percentage is taken of the picture file's own size");
      removeAttribute(picture, name);
      declare(picture, "zoom", String(Number.parseFloat(value) / 100 || 1));
    } else if (scale !== 1) setAttribute(picture, name, unscaled(value, scale));
  }
  if (missing.length > 0)
    report("picture-unsized", missing.join(" and "), "without the attribute it is drawn at file size");
}

/** A length in px that comes out the same once everything is drawn larger. */
const unscaled = (value: string, scale: number): string =>
  String(Math.round((Number.parseFloat(value) / scale) * 100) / 100);

function scaleAttributes(element: Element, { scale }: Display): void {
  if (scale === 1) return;
  for (const name of ["width", "height"] as const) {
    const value = attributeOf(element, name);
    // A style counts before an attribute, and grows.
    if (value !== null && /^\s*\d+\s*$/.test(value) && lastValue(declarationsOf(element), name) === null)
      declare(element, name, `${unscaled(value, scale)}px`);
  }
}

function spaceParagraph(paragraph: Element, report: Report): void {
  const declarations = declarationsOf(paragraph);
  if (declarations.some(({ property }) => /^margin(-(top|bottom|block.*))?$/.test(property))) return;
  report("paragraph-margin", "<p>", "a paragraph without margins gets this kind's own");
  declare(paragraph, "margin", documentEngine.paragraphMargin);
}

/** Room outside a coloured paragraph is drawn in its colour as well: as room inside it. */
function fillMargins(element: Element, report: Report): void {
  const declarations = declarationsOf(element);
  const colored = declarations.some(
    ({ property }) => property === "background-color" || property === "background",
  );
  const outside = declarations.filter(({ property }) => /^margin(-|$)/.test(property));
  if (!colored || outside.every(({ value }) => readValue(value).parts.every(({ number }) => number === 0)))
    return;
  report("margin-filled", "margin", "the background colour is drawn into the margin as well");
  setDeclarations(
    element,
    declarations.map((declaration) =>
      outside.includes(declaration)
        ? { ...declaration, property: declaration.property.replace("margin", "padding") }
        : declaration,
    ),
  );
}

/** Tables are drawn although what they stand in is hidden: they come to stand after it. */
function showHiddenTables(hidden: Element, report: Report): void {
  const parent = hidden.parentNode;
  if (!parent || lastValue(declarationsOf(hidden), "display") !== "none") return;
  const inside = elementsIn(hidden).filter(({ tagName }) => tagName === "table");
  const outermost = inside.filter(
    (table) => !inside.some((other) => other !== table && contains(other, table)),
  );
  for (const table of outermost) {
    report("table-shown", "<table>", "a table inside a hidden element is not hidden with it");
    const holder = table.parentNode;
    holder?.childNodes.splice(holder.childNodes.indexOf(table), 1);
    const next = parent.childNodes[parent.childNodes.indexOf(hidden) + 1];
    if (next) insertBefore(parent, table, next);
    else {
      table.parentNode = parent;
      parent.childNodes.push(table);
    }
  }
}

function contains(outer: Element, inner: Element): boolean {
  for (let at = parentElement(inner); at; at = parentElement(at)) if (at === outer) return true;
  return false;
}

function drawElement(element: Element, display: Display, report: Report): void {
  thinBorders(element, report);
  switch (element.tagName) {
    case "img":
      sizePicture(element, display, report);
      break;
    case "p":
      spaceParagraph(element, report);
      fillMargins(element, report);
      break;
    case "div":
      fillMargins(element, report);
      break;
    case "table":
      scaleAttributes(element, display);
      break;
    case "td":
    case "th":
      scaleAttributes(element, display);
      // The engine counts a cell's width as the whole of it; this makes a browser draw the same.
      if ((attributeOf(element, "width") ?? lastValue(declarationsOf(element), "width")) !== null)
        declare(element, "box-sizing", "border-box");
      break;
    default:
  }
}

export function drawByDocumentEngine(
  { body, reportAt, has }: OwnMessage,
  _facts: KindFacts,
  display: Display,
): void {
  const elements = elementsIn(body);
  for (const element of elements) {
    if (attributeOf(element, "id") !== null) {
      reportAt(element)("attribute-dropped", "id", "every id is removed");
      removeAttribute(element, "id");
    }
    drawElement(element, display, reportAt(element));
  }
  for (const element of elements) {
    if (element.tagName === "tr") equaliseRowPadding(element, reportAt(element));
    if (element.tagName === "a") colorLink(element, reportAt(element));
  }
  if (has.names.has("<table>"))
    for (const element of elements)
      if (attributeOf(element, "style")?.toLowerCase().includes("none"))
        showHiddenTables(element, reportAt(element));
  if (display.scale !== 1) wrapBody(body, "div", { style: `zoom:${display.scale}` });
}
