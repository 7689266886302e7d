/** How the sheet draws what a fixed drawing cannot: how wide a table is, and the person's own values. */
import { DOMSerializer, type Node } from "prosemirror-model";
import type { NodeView, NodeViewConstructor } from "prosemirror-view";
import { drawnFrom } from "@/contract";
import { fieldLabel, fieldLink, type Person } from "@/core/people";
import {
  fieldText,
  isOwnPicture,
  personField as fieldDescription,
  placeWithPicture,
  settingsOf,
  tableMap,
} from "@/core/signature";

class TableView implements NodeView {
  readonly dom: HTMLTableElement;
  readonly contentDOM: HTMLElement;

  constructor(private node: Node) {
    this.dom = document.createElement("table");
    this.dom.setAttribute("cellpadding", "0");
    this.dom.setAttribute("cellspacing", "0");
    this.contentDOM = this.dom.appendChild(document.createElement("tbody"));
    this.draw();
  }

  private draw(): void {
    this.dom.style.width = `${tableMap(this.node).width}px`;
  }

  update(node: Node): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    this.draw();
    return true;
  }

  ignoreMutation(mutation: { target: globalThis.Node }): boolean {
    return !this.contentDOM.contains(mutation.target);
  }
}

const personField =
  (person: Person | null): NodeViewConstructor =>
  (node) => {
    const { field } = fieldDescription.of(node);
    const value = fieldText(node, person);
    const dom = document.createElement("span");
    const link = value && fieldLink(field, value, person?.callingCode);
    // A colour of its own wins over the colour of links.
    const colored = node.marks.some(({ type }) => type.name === "color");
    dom.className = !value
      ? "drawn-field-empty"
      : link && link !== "visit" && !colored
        ? "drawn-field-link"
        : "";
    if (link && link !== "visit") dom.dir = "ltr";
    dom.textContent = value || fieldLabel(field);
    dom.title = value
      ? `${fieldLabel(field)}, from the directory`
      : `${fieldLabel(field)}: empty, so it is left out`;
    return { dom };
  };

/** Pictures of invented sites are drawn from this application; what is each person's own is drawn as theirs. */
const image =
  (person: Person | null): NodeViewConstructor =>
  (given, view) => {
    const node = isOwnPicture(given) ? placeWithPicture(given, person, settingsOf(view.state.doc)) : given;
    const { toDOM } = node.type.spec;
    if (!toDOM) throw new TypeError(`A ${node.type.name} is not drawn by itself`);
    const { dom } = DOMSerializer.renderSpec(document, toDOM(node));
    const drawn = dom instanceof HTMLImageElement ? dom : dom.querySelector("img");
    const source = drawn?.getAttribute("src");
    if (drawn && source) drawn.src = drawnFrom(source);
    return { dom };
  };

export const nodeViews = (person: Person | null): Record<string, NodeViewConstructor> => ({
  table: (node) => new TableView(node),
  personField: personField(person),
  picture: image(person),
  inlinePicture: image(person),
});
