/** What a message's body says of itself, on an element around the message: no message is a page of its own. */
import { wordTable } from "../../values";
import {
  append,
  attributeOf,
  createElement,
  declarationText,
  parseDeclarations,
  setAttribute,
  withDeclaration,
  type Element,
} from "../../html";
import { supportOf } from "../facts/features";
import type { OwnMessage } from "../message";
import type { StandInId } from "../stand-in";

/** Puts everything in the body into one new element. */
export function wrapBody(body: Element, name: string, attributes: Readonly<Record<string, string>>): Element {
  const wrapper = createElement(name, attributes);
  for (const child of [...body.childNodes]) {
    child.parentNode = null;
    append(wrapper, child);
  }
  body.childNodes = [];
  append(body, wrapper);
  return wrapper;
}

/** Attributes of a body as declarations (WHATWG HTML 15.3.3). */
const presentational = wordTable<(value: string) => readonly [property: string, value: string]>({
  bgcolor: (value) => ["background-color", value],
  text: (value) => ["color", value],
  background: (value) => ["background-image", `url("${value.replaceAll('"', "%22")}")`],
});

export function bodyToDiv({ body, reportAt }: OwnMessage, client: StandInId): void {
  if (body.attrs.length === 0) return;
  const report = reportAt(body);
  if (supportOf("html-body", client) === "no") {
    for (const { name } of body.attrs)
      report("attribute-dropped", name, "what the body says of itself is lost");
    body.attrs = [];
    return;
  }
  let declarations = parseDeclarations(attributeOf(body, "style") ?? "");
  const kept: Record<string, string> = {};
  for (const { name, value } of body.attrs) {
    const declared = presentational[name]?.(value);
    if (declared && declarations.every(({ property }) => property !== declared[0]))
      declarations = [...withDeclaration([], ...declared), ...declarations];
    else if (!declared && name !== "style") kept[name] = value;
  }
  body.attrs = [];
  const wrapper = wrapBody(body, "div", kept);
  if (declarations.length > 0) setAttribute(wrapper, "style", declarationText(declarations));
}
