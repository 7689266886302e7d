/**
 * The style sheets of a message as rules that can be asked of each element (CSS Cascade 5). Rules for other media, for
 * widths, for a reader's hand and for fonts are no part of a signature: they are told, and read no further.
 */
import { wordTable } from "../../values";
import type { Atrule, CssNode, Rule } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import { isText, parseDeclarations, type Declaration, type Element } from "../../html";
import type { Reporter } from "../report";
import { compileSelector, keysOf, statePseudos, type CompiledSelector } from "./selectors";

export interface SheetRule extends CompiledSelector {
  readonly order: number;
  readonly declarations: readonly Declaration[];
}

export interface StyleSheets {
  /** The rules that match an element, those that win last. */
  readonly of: (element: Element) => readonly SheetRule[];
  readonly empty: boolean;
}

const shortened = (text: string): string => (text.length > 80 ? `${text.slice(0, 77)}…` : text);

const reasons = wordTable<string>({
  "font-face": "recipients load no fonts with a mail: web-safe families are used",
  import: "a mail brings no style sheets along",
  keyframes: "nothing moves in a mail but a loop",
  page: "it is for printing",
  supports: "clients differ in what they support: what holds everywhere is kept",
});

const textOf = (style: Element): string =>
  style.childNodes
    .filter(isText)
    .map(({ value }) => value)
    .join("")
    // Sheets were once hidden from readers that did not know them.
    .replace(/^\s*<!--|-->\s*$/g, "");

/** Whether a media rule is for every screen, and so no condition at all. */
const isForScreens = (rule: Atrule): boolean =>
  rule.prelude !== null &&
  /^(only )?(all|screen)$/i.test(generate(rule.prelude).trim()) &&
  rule.name.toLowerCase() === "media";

class Reader {
  readonly rules: SheetRule[] = [];
  constructor(
    private readonly source: string,
    private readonly reporter: Reporter,
    private order: number,
  ) {}

  rule(rule: Rule): void {
    const { loc } = rule.block;
    const inside = loc ? this.source.slice(loc.start.offset + 1, loc.end.offset - 1) : "";
    const declarations = parseDeclarations(inside);
    if (rule.prelude.type !== "SelectorList" || declarations.length === 0) return;
    for (const selector of rule.prelude.children) {
      const compiled = selector.type === "Selector" ? compileSelector(selector) : null;
      if (compiled) this.rules.push({ ...compiled, order: this.order++, declarations });
      else {
        const written = generate(selector);
        const state = [...statePseudos].find((name) => written.toLowerCase().includes(`:${name}`));
        this.reporter.sayOnce(
          "lost",
          "style-rule",
          shortened(written),
          state
            ? "a signature looks the same wherever the pointer is"
            : "what it matches cannot be told from the message",
        );
      }
    }
  }

  atRule(rule: Atrule): void {
    const name = rule.name.toLowerCase().replace(/^-\w+-/, "");
    if (isForScreens(rule)) {
      rule.block?.children.forEach((node) => this.node(node));
      return;
    }
    if (name === "charset" || name === "namespace") return;
    const prelude = rule.prelude ? ` ${generate(rule.prelude)}` : "";
    const what = name === "font-face" ? fontFaceName(rule) : prelude;
    this.reporter.sayOnce(
      "lost",
      "style-rule",
      shortened(`@${name}${what}`),
      reasons[name] ?? "a signature is one width and one look: rules with conditions are left out",
    );
  }

  node(node: CssNode): void {
    if (node.type === "Rule") this.rule(node);
    else if (node.type === "Atrule") this.atRule(node);
  }
}

function fontFaceName(rule: Atrule): string {
  let family = "";
  rule.block?.children.forEach((node) => {
    if (node.type === "Declaration" && node.property === "font-family") family = ` ${generate(node.value)}`;
  });
  return family;
}

/** How many rules are held against elements before the rest of a message is read without them. */
const mostAsked = 500_000;

/** Reads the style elements of a message, in their order. Never throws. */
export function readStyleSheets(styles: readonly Element[], reporter: Reporter): StyleSheets {
  const buckets = new Map<string, SheetRule[]>();
  let order = 0;
  const sources = styles.map(textOf);
  const last = new Map(sources.map((source, index) => [source, index]));
  for (const [index, source] of sources.entries()) {
    // A thread of messages brings the same sheet with each of them: the last of them wins over the earlier ones anyway.
    if (last.get(source) !== index) continue;
    const reader = new Reader(source, reporter, order);
    const sheet = parse(source, { positions: true, parseValue: false, onParseError: () => undefined });
    if (sheet.type === "StyleSheet") sheet.children.forEach((node) => reader.node(node));
    order += reader.rules.length;
    for (const rule of reader.rules) {
      const bucket = buckets.get(rule.key);
      if (bucket) bucket.push(rule);
      else buckets.set(rule.key, [rule]);
    }
  }
  const nothing: readonly SheetRule[] = [];
  let asked = 0;
  return {
    empty: buckets.size === 0,
    of: (element) => {
      if (buckets.size === 0) return nothing;
      const rules = keysOf(element).flatMap((key) => buckets.get(key) ?? nothing);
      asked += rules.length;
      if (asked > mostAsked) {
        reporter.sayOnce(
          "lost",
          "style-rule",
          "the style sheet",
          "it has too many rules for too many elements: from some element on it does not hold",
        );
        return nothing;
      }
      return rules
        .filter(({ matches }) => matches(element))
        .sort((one, other) => one.specificity - other.specificity || one.order - other.order);
    },
  };
}
