/** Desktop mail drawn by a document engine. Lengths in px. */
import {
  declarationText,
  lastValue,
  paddingSide,
  parseDeclarations,
  pxLength,
  withDeclaration,
  appendText,
  attributeOf,
  detach,
  isElement,
  isText,
  prepend,
  removeAttribute,
  setAttribute,
  walkElements,
  type Element,
  nodesIn,
  type Message,
  type ParentNode,
} from "../../html";
import type { Report } from "../changes";
import { documentEngine } from "../stand-ins";
import { dropUnsupported, type DeclarationRule } from "./drop-unsupported";
import { filterStyleSheet } from "./filter-style-sheet";

const isCell = (element: Element): boolean => element.tagName === "td" || element.tagName === "th";
const widthIgnored = new Set(["p", "div", "span", "img"]);

const declarationsOf = (element: Element) => parseDeclarations(attributeOf(element, "style") ?? "");

/** The first px width in a border's value, capped; null when it is thin enough. */
function thinned(value: string): string | null {
  let thinner = false;
  const parts = value.split(/\s+/).map((part) => {
    const width = pxLength(part);
    if (width === null || width <= documentEngine.widestBorder) return part;
    thinner = true;
    return `${documentEngine.widestBorder}px`;
  });
  return thinner ? parts.join(" ") : null;
}

const rule: DeclarationRule = ({ property, value, important }, element, report) => {
  const { tagName } = element;
  if (important) return { drop: "declarations marked important are ignored on elements" };
  if (property === "box-sizing" && isCell(element)) return { value: "border-box" };
  if (/^padding/.test(property) && !isCell(element)) return { drop: "padding counts on cells only" };
  if (property === "width" && widthIgnored.has(tagName))
    return {
      drop: tagName === "img" ? "pictures take their width attribute only" : "widths on text are ignored",
    };
  if (property === "height" && tagName === "img")
    return { drop: "pictures take their height attribute only" };
  if (property === "max-width" && tagName !== "table") return { drop: "maximum widths count on tables only" };
  if (property === "font-weight" && /^\d+$/.test(value)) {
    const rounded = Number(value) < documentEngine.boldFrom ? "normal" : "bold";
    report("weight-rounded", `font-weight:${value}`, `it is drawn ${rounded}`);
    return { value: rounded };
  }
  if (/^border(-(top|right|bottom|left))?(-width)?$/.test(property)) {
    const thin = thinned(value);
    if (thin) {
      report("border-thinned", `${property}:${value}`, "borders are drawn 8 px wide at most");
      return { value: thin };
    }
  }
  return null;
};

/** All cells of a row get the row's largest top and bottom padding. */
function equaliseRowPadding(row: Element, report: Report): void {
  const cells = row.childNodes.filter(isElement).filter(isCell);
  for (const side of ["top", "bottom"] as const) {
    const paddings = cells.map((cell) => paddingSide(declarationsOf(cell), side));
    const largest = Math.max(0, ...paddings);
    if (paddings.every((padding) => padding === largest)) continue;
    report(
      "row-padding-equalised",
      `padding-${side} ${paddings.map((padding) => `${padding}px`).join(", ")}`,
      `every cell of the row gets ${largest}px`,
    );
    for (const cell of cells)
      setAttribute(
        cell,
        "style",
        declarationText([
          ...declarationsOf(cell),
          { property: `padding-${side}`, value: `${largest}px`, important: false },
        ]),
      );
  }
}

/** Whether every piece of text in a link stands in an element inside it that says its colour. */
function textHasColor(link: Element): boolean {
  const colored = new Set<ParentNode>();
  return nodesIn(link).every((node) => {
    const parent = node.parentNode;
    const inColor = parent !== null && colored.has(parent);
    if (isText(node)) return inColor || node.value.trim() === "";
    if (isElement(node) && (inColor || lastValue(declarationsOf(node), "color") !== null)) colored.add(node);
    return true;
  });
}

function link(element: Element, report: Report): void {
  if (attributeOf(element, "href") === null || textHasColor(element)) return;
  const declarations = declarationsOf(element);
  report(
    "link-recoloured",
    lastValue(declarations, "color") ?? "no colour",
    "the text inside says no colour of its own",
  );
  setAttribute(
    element,
    "style",
    declarationText(
      withDeclaration(
        withDeclaration(declarations, "color", documentEngine.linkColor),
        "text-decoration",
        "underline",
      ),
    ),
  );
}

function picture(element: Element, report: Report): void {
  const missing = ["width", "height"].filter((name) => attributeOf(element, name) === null);
  if (missing.length > 0)
    report("picture-unsized", missing.join(" and "), "without the attribute it is drawn at file size");
}

function paragraph(element: Element, report: Report): void {
  const declarations = declarationsOf(element);
  if (declarations.some(({ property }) => /^margin(-(top|bottom))?$/.test(property))) return;
  report("paragraph-margin", "<p>", "a paragraph without margins gets this kind's own");
  setAttribute(
    element,
    "style",
    declarationText(withDeclaration(declarations, "margin", documentEngine.paragraphMargin)),
  );
}

/** Style sheets are read, wherever they stand; what the engine does not draw is taken out of them. */
function styleSheets({ head, body }: Message, reportAt: (element: Element) => Report): void {
  const found: Element[] = [];
  for (const holder of [head, body])
    walkElements(holder, (element) => {
      if (element.tagName === "style") found.push(element);
    });
  for (const element of found.reverse()) {
    const css = element.childNodes.filter(isText).map(({ value }) => value);
    for (const child of [...element.childNodes]) detach(child);
    appendText(element, filterStyleSheet(css.join(""), "desktop-document", reportAt(element)));
    detach(element);
    prepend(body, element);
  }
}

export function toDesktopDocument(message: Message, reportAt: (element: Element) => Report): void {
  const { body } = message;
  styleSheets(message, reportAt);
  walkElements(body, (element) => {
    const report = reportAt(element);
    dropUnsupported(element, "desktop-document", rule, report);
    if (element.tagName === "img") picture(element, report);
    if (element.tagName === "p") paragraph(element, report);
    if (attributeOf(element, "background") !== null) {
      report("attribute-dropped", "background", "background pictures are not drawn");
      removeAttribute(element, "background");
    }
    // The engine counts a cell's width as the whole of it; this makes a browser draw the same.
    if (
      isCell(element) &&
      (attributeOf(element, "width") ?? lastValue(declarationsOf(element), "width")) !== null
    )
      setAttribute(
        element,
        "style",
        declarationText(withDeclaration(declarationsOf(element), "box-sizing", "border-box")),
      );
  });
  walkElements(body, (element) => {
    if (element.tagName === "tr") equaliseRowPadding(element, reportAt(element));
    if (element.tagName === "a") link(element, reportAt(element));
  });
}
