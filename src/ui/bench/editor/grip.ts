/** A grip beside the part under the pointer, to take hold of it; keys move parts as well, so it is for pointers only. */
import { NodeSelection, Plugin } from "prosemirror-state";
import type { EditorView } from "prosemirror-view";
import { endDrag, startDrag } from "./drag";

/** The part under a point: the position before it. */
function partUnder(view: EditorView, target: HTMLElement): number | null {
  if (!view.dom.contains(target) || target === view.dom) return null;
  const at = view.state.doc.resolve(Math.min(view.posAtDOM(target, 0), view.state.doc.content.size));
  if (at.parent.type.name === "cell") return at.nodeAfter ? at.pos : null;
  for (let depth = at.depth; depth > 1; depth--)
    if (at.node(depth - 1).type.name === "cell") return at.before(depth);
  return null;
}

class Grip {
  private readonly dom = document.createElement("div");
  private position: number | null = null;
  private readonly around: HTMLElement;

  constructor(private readonly view: EditorView) {
    this.around = view.dom.parentElement!;
    this.dom.className = "grip";
    this.dom.draggable = true;
    this.dom.hidden = true;
    this.dom.title = "Drag to move this part, click to select it";
    this.dom.setAttribute("aria-hidden", "true");
    this.around.append(this.dom);
    this.around.addEventListener("mousemove", this.follow);
    this.around.addEventListener("mouseleave", this.hide);
    this.dom.addEventListener("click", this.select);
    this.dom.addEventListener("dragstart", (event) => {
      if (this.position === null || !event.dataTransfer) return;
      this.select();
      event.dataTransfer.setData("text/plain", "");
      event.dataTransfer.effectAllowed = "move";
      startDrag(this.view, { kind: "part", position: this.position });
    });
    this.dom.addEventListener("dragend", () => endDrag(this.view));
  }

  private readonly hide = (): void => {
    this.dom.hidden = true;
  };

  private readonly select = (): void => {
    if (this.position === null) return;
    const { state } = this.view;
    this.view.dispatch(state.tr.setSelection(NodeSelection.create(state.doc, this.position)));
    this.view.focus();
  };

  private readonly follow = (event: MouseEvent): void => {
    if (event.buttons !== 0 || event.target === this.dom) return;
    this.position = partUnder(this.view, event.target as HTMLElement);
    const part = this.position === null ? null : this.view.nodeDOM(this.position);
    this.dom.hidden = !(part instanceof HTMLElement);
    if (!(part instanceof HTMLElement)) return;
    const own = part.getBoundingClientRect();
    const outer = this.around.getBoundingClientRect();
    const rightToLeft = getComputedStyle(this.around).direction === "rtl";
    const left = rightToLeft ? own.right - outer.left : own.left - outer.left - 11;
    this.dom.style.transform = `translate(${left}px, ${own.top - outer.top}px)`;
    this.dom.style.height = `${Math.max(12, own.height)}px`;
  };

  update(): void {
    this.hide();
  }

  destroy(): void {
    this.around.removeEventListener("mousemove", this.follow);
    this.around.removeEventListener("mouseleave", this.hide);
    this.dom.remove();
  }
}

export const grip = new Plugin({ view: (view) => new Grip(view) });
