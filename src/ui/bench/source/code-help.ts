/**
 * Help within the source for people who do not read HTML: what the pointer is on, in words; swatches before colours; in the
 * margin, what can be done to the element that begins there.
 */
import { RangeSetBuilder, type Extension } from "@codemirror/state";
import type { EditorView } from "@codemirror/view";
import {
  Decoration,
  gutter,
  GutterMarker,
  hoverTooltip,
  ViewPlugin,
  WidgetType,
  type DecorationSet,
  type ViewUpdate,
} from "@codemirror/view";
import { readTags } from "@/core/html";
import { colorsIn, explainSource, sourceElements, type ExplainedSource, type Seen } from "@/core/source";

export interface CodeHelp {
  /** The source as it was read last; null while it is broken, for what is typed then has no names. */
  readonly explained: () => ExplainedSource | null;
  /** More about what is seen: where a link led when it was walked. */
  readonly more: (seen: Seen) => string | null;
  /** The address from which a picture is drawn here. */
  readonly drawn: (address: string) => string;
  /** A swatch is pressed. */
  readonly onColor: (from: number, anchor: DOMRect) => void;
  /** The mark of an element in the margin is pressed. */
  readonly onElement: (offset: number, anchor: DOMRect) => void;
}

function seenDom(seen: Seen, { drawn, more }: CodeHelp): HTMLElement {
  const box = document.createElement("div");
  if (seen.kind === "picture") {
    const picture = document.createElement("img");
    picture.src = drawn(seen.address);
    picture.alt = "";
    picture.className = "mt-1.5 max-h-24 max-w-56 border border-hairline";
    box.append(picture);
  } else if (seen.kind === "link") {
    box.className = "mt-0.5 text-xs text-soft";
    box.textContent = [seen.href, more(seen)].filter(Boolean).join(" · ");
  } else {
    const swatch = document.createElement("span");
    swatch.className = "mt-1.5 block h-6 w-24 rounded-sm border border-hairline";
    swatch.style.background = seen.hex;
    box.append(swatch);
  }
  return box;
}

const hovering = (help: CodeHelp): Extension =>
  hoverTooltip(
    (_view, offset) => {
      const explained = help.explained();
      const found = explained && explainSource(explained, offset);
      if (!found) return null;
      return {
        pos: found.from,
        end: found.to,
        above: true,
        create: () => {
          const dom = document.createElement("div");
          dom.className = "max-w-80 px-2 py-1";
          dom.textContent = found.says;
          if (found.seen) dom.append(seenDom(found.seen, help));
          return { dom };
        },
      };
    },
    { hoverTime: 250, hideOnChange: true },
  );

class Swatch extends WidgetType {
  constructor(
    private readonly hex: string,
    private readonly from: number,
    private readonly onColor: CodeHelp["onColor"],
  ) {
    super();
  }

  override eq(other: Swatch): boolean {
    return other.hex === this.hex && other.from === this.from;
  }

  override toDOM(): HTMLElement {
    const button = document.createElement("button");
    button.type = "button";
    button.className = "cm-swatch";
    button.style.background = this.hex;
    button.title = `Change ${this.hex}`;
    // The keyboard reaches the same choice below the source, where the caret stands in a colour.
    button.tabIndex = -1;
    button.setAttribute("aria-hidden", "true");
    button.addEventListener("mousedown", (event) => {
      event.preventDefault();
      this.onColor(this.from, button.getBoundingClientRect());
    });
    return button;
  }

  override ignoreEvent(): boolean {
    return true;
  }
}

function swatchesOf(view: EditorView, onColor: CodeHelp["onColor"]): DecorationSet {
  const text = view.state.doc.toString();
  const builder = new RangeSetBuilder<Decoration>();
  for (const { from, hex } of colorsIn(text, sourceElements(text, readTags(text).items)))
    builder.add(from, from, Decoration.widget({ widget: new Swatch(hex, from, onColor), side: 1 }));
  return builder.finish();
}

const swatches = (onColor: CodeHelp["onColor"]): Extension =>
  ViewPlugin.fromClass(
    class {
      decorations: DecorationSet;
      constructor(view: EditorView) {
        this.decorations = swatchesOf(view, onColor);
      }
      update(update: ViewUpdate): void {
        if (update.docChanged) this.decorations = swatchesOf(update.view, onColor);
      }
    },
    { decorations: (plugin) => plugin.decorations },
  );

class ElementMark extends GutterMarker {
  override toDOM(): HTMLElement {
    const mark = document.createElement("span");
    mark.className = "cm-element-mark";
    mark.textContent = "⋮";
    return mark;
  }
}

const elementMark = new ElementMark();

/** Lines on which an element begins have a mark that opens what can be done to it. */
const margin = (onElement: CodeHelp["onElement"]): Extension =>
  gutter({
    class: "cm-element-gutter",
    lineMarker: (view, block) =>
      /^\s*<[a-z]/i.test(view.state.doc.sliceString(block.from, Math.min(block.to, block.from + 80)))
        ? elementMark
        : null,
    initialSpacer: () => elementMark,
    domEventHandlers: {
      mousedown(view, block, event) {
        const line = view.state.doc.lineAt(block.from);
        const begin = line.text.search(/</);
        const { target } = event;
        if (begin < 0 || !(target instanceof Element)) return false;
        event.preventDefault();
        onElement(line.from + begin, target.getBoundingClientRect());
        return true;
      },
    },
  });

export const codeHelp = (help: CodeHelp): Extension => [
  hovering(help),
  swatches(help.onColor),
  margin(help.onElement),
];
