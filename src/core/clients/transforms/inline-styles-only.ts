/** Webmail whose settings keep styles on elements only: nothing is left that a style sheet could go by. */
import { removeAttribute } from "../../html";
import type { OwnMessage } from "../message";

const names = ["class", "id"] as const;

export function inlineStylesOnly({ eachElement, has }: OwnMessage): void {
  if (!names.some((name) => has.names.has(name))) return;
  eachElement((element, report) => {
    for (const { name } of [...element.attrs])
      if (names.some((other) => other === name)) {
        report("attribute-dropped", name, "this kind does not keep it");
        removeAttribute(element, name);
      }
  });
}
