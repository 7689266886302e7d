/** The style sheets of a message, as a kind of client reads them. */
import type { Atrule, Block, CssNode, Declaration as CssDeclaration, List, ListItem, Rule } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import walk from "css-tree/walker";
import {
  appendText,
  createElement,
  declarationText,
  detach,
  elementsIn,
  isText,
  parseDeclarations,
  prepend,
  type Element,
} from "../../html";
import type { Report } from "../changes";
import { notKept, type KindFacts } from "../facts/kind-facts";
import type { OwnMessage } from "../message";
import type { Mode } from "../stand-in";

/** The element that every selector of a rule ends in; null where they differ or do not say. */
function subjectOf(rule: Rule | null): string | null {
  const subjects = new Set<string | null>();
  if (rule?.prelude.type === "SelectorList")
    rule.prelude.children.forEach((selector) => {
      let subject: string | null = null;
      if (selector.type === "Selector")
        selector.children.forEach((part) => {
          if (part.type === "Combinator") subject = null;
          else if (part.type === "TypeSelector" && part.name !== "*") subject = part.name.toLowerCase();
        });
      subjects.add(subject);
    });
  const [only = null] = subjects;
  return subjects.size === 1 ? only : null;
}

/** Conditions on the reader's colours are settled by a proof's own mode: by a width that always or never holds. */
function settleScheme(rule: Atrule, mode: Mode): void {
  walk(rule, (node: CssNode) => {
    if (node.type !== "Feature" || node.name.toLowerCase() !== "prefers-color-scheme") return;
    const asked = node.value?.type === "Identifier" ? node.value.name.toLowerCase() : mode;
    node.name = asked === mode ? "min-width" : "max-width";
    node.value = { type: "Dimension", value: "0", unit: "px" };
  });
}

/** Whether the whole sheet goes. */
function filterDeclaration(
  node: CssDeclaration,
  source: string,
  rule: Rule | null,
  facts: KindFacts,
  report: Report,
): { readonly sheetDropped: boolean; readonly kept: string | null } {
  const [written] = parseDeclarations(source);
  const same = { sheetDropped: false, kept: source };
  if (!written) return same;
  const effect = facts.declaration(written, { tagName: subjectOf(rule), inAttribute: false });
  if (!effect) return same;
  if (effect.outcome === "all-dropped") {
    report("style-dropped", "<style>", effect.reason);
    return { sheetDropped: true, kept: null };
  }
  if (effect.outcome === "dropped") {
    report("declaration-dropped", node.property, effect.reason);
    return { sheetDropped: false, kept: null };
  }
  report("declaration-changed", source, effect.reason);
  return { sheetDropped: false, kept: declarationText(effect.outcome) };
}

/** The sheet without what is dropped. What does not parse is left out, as a browser leaves it out. */
export function filterStyleSheet(css: string, facts: KindFacts, mode: Mode, report: Report): string {
  const sheet = parse(css, { onParseError: () => undefined, parseValue: false, positions: true });
  let sheetDropped = false;
  const media: Atrule[] = [];
  walk(sheet, {
    enter(
      this: { rule: Rule | null; block: Block | null },
      node: CssNode,
      item: ListItem<CssNode>,
      list: List<CssNode>,
    ) {
      if (node.type === "Atrule") {
        const name = node.name.toLowerCase();
        const condition = node.prelude ? generate(node.prelude).toLowerCase() : "";
        const effect =
          name === "media"
            ? facts.query({ condition, nested: media.length > 0 })
            : name === "import"
              ? { outcome: "dropped" as const, reason: notKept }
              : null;
        if (name === "media") media.push(node);
        if (effect?.outcome === "dropped") {
          report("element-dropped", `@${node.name}`, effect.reason);
          list.remove(item);
        } else if (effect) {
          report("declaration-changed", `@${node.name} ${condition}`, effect.reason);
          node.prelude = { type: "Raw", value: effect.outcome.condition };
        } else if (name === "media") settleScheme(node, mode);
      } else if (node.type === "Declaration") {
        const source = css.slice(node.loc?.start.offset, node.loc?.end.offset);
        const { sheetDropped: all, kept } = filterDeclaration(node, source, this.rule, facts, report);
        sheetDropped ||= all;
        if (kept === null) list.remove(item);
        else if (kept !== source) list.replace(item, list.createItem({ type: "Raw", value: kept }));
      }
    },
    leave(node: CssNode) {
      if (node === media.at(-1)) media.pop();
    },
  });
  return sheetDropped ? "" : generate(sheet);
}

const isStyle = ({ tagName }: Element): boolean => tagName === "style";

/** Puts every sheet that a kind reads at the head of the body, filtered; the others are gone. */
export function filterStyleSheets(message: OwnMessage, facts: KindFacts, mode: Mode): void {
  const { head, body, reportAt, has } = message;
  if (!has.names.has("<style>")) return;
  const inBody = elementsIn(body);
  const found = [...elementsIn(head).filter(isStyle), ...inBody.filter(isStyle)];
  const kept: Element[] = [];
  for (const element of found) {
    const report = reportAt(element);
    const css = element.childNodes
      .filter(isText)
      .map(({ value }) => value)
      .join("");
    detach(element);
    if (!facts.readsStyleSheets) {
      report("element-dropped", "<style>", notKept);
      continue;
    }
    // A document engine reads a sheet for what comes after it.
    if (facts.client === "desktop-document" && inBody.at(-1) === element) {
      report("element-dropped", "<style>", "a style sheet works only for what comes after it");
      continue;
    }
    const sheet = createElement("style", {});
    appendText(sheet, filterStyleSheet(css, facts, mode, report));
    kept.unshift(sheet);
  }
  for (const sheet of kept) prepend(body, sheet);
}
