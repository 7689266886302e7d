/**
 * Selectors of a style sheet (Selectors 4) as tests upon an element of a parsed tree, with their specificity. What needs a
 * reader's hand or a browser's state (`:hover`) never matches a message, and is told apart from what is not understood.
 */
import { wordTable } from "../../values";
import type { CssNode, Selector } from "css-tree";
import { attributeOf, isElement, type Element, type ParentNode } from "../../html";

type Test = (element: Element) => boolean;

interface Compound {
  readonly tests: readonly Test[];
  /** How it is joined to the compound before it. */
  readonly combinator: string;
}

export interface CompiledSelector {
  readonly matches: Test;
  /** Ids, classes and attributes, elements, as one number. */
  readonly specificity: number;
  /** Under which it is looked for: "#id", ".class", "tag" or "*". */
  readonly key: string;
}

const classesOf = (element: Element): readonly string[] =>
  (attributeOf(element, "class") ?? "").split(/[ \t\r\n\f]+/);

const parentOf = (element: Element): Element | null => {
  const parent: ParentNode | null = element.parentNode;
  return parent && "tagName" in parent ? parent : null;
};

interface Siblings {
  readonly all: readonly Element[];
  readonly places: ReadonlyMap<Element, number>;
}

const known = new WeakMap<ParentNode, Siblings>();

/** An element among those of its parent, found once for each parent. */
function siblingsOf(element: Element): { readonly all: readonly Element[]; readonly at: number } {
  const parent = element.parentNode;
  if (!parent) return { all: [element], at: 0 };
  let siblings = known.get(parent);
  if (!siblings) {
    const all = parent.childNodes.filter(isElement);
    siblings = { all, places: new Map(all.map((one, index) => [one, index])) };
    known.set(parent, siblings);
  }
  return { all: siblings.all, at: siblings.places.get(element) ?? 0 };
}

const attributeTests = wordTable<(own: string, asked: string) => boolean>({
  "=": (own, asked) => own === asked,
  "~=": (own, asked) => own.split(/\s+/).includes(asked),
  "|=": (own, asked) => own === asked || own.startsWith(`${asked}-`),
  "^=": (own, asked) => asked !== "" && own.startsWith(asked),
  "$=": (own, asked) => asked !== "" && own.endsWith(asked),
  "*=": (own, asked) => asked !== "" && own.includes(asked),
});

const pseudoTests = wordTable<Test>({
  "first-child": (element) => siblingsOf(element).at === 0,
  "last-child": (element) => siblingsOf(element).all.at(-1) === element,
  "only-child": (element) => siblingsOf(element).all.length === 1,
  link: (element) => attributeOf(element, "href") !== null,
  "any-link": (element) => attributeOf(element, "href") !== null,
  root: (element) => element.tagName === "html",
});

/** What a message never is while it is read. */
export const statePseudos: ReadonlySet<string> = new Set(
  "hover active focus focus-within focus-visible visited target checked".split(" "),
);

interface PartReading {
  readonly test: Test;
  readonly weight: number;
  readonly key: string | null;
}

/** Null for a part that is not understood, or that no message ever meets. */
function readPart(part: CssNode): PartReading | null {
  switch (part.type) {
    case "TypeSelector": {
      const tag = part.name.toLowerCase();
      return tag === "*"
        ? { test: () => true, weight: 0, key: null }
        : { test: ({ tagName }) => tagName === tag, weight: 1, key: tag };
    }
    case "ClassSelector":
      return {
        test: (element) => classesOf(element).includes(part.name),
        weight: 1000,
        key: `.${part.name}`,
      };
    case "IdSelector":
      return {
        test: (element) => attributeOf(element, "id") === part.name,
        weight: 1_000_000,
        key: `#${part.name}`,
      };
    case "AttributeSelector": {
      const name = part.name.name.toLowerCase();
      const asked = part.value && ("value" in part.value ? part.value.value : part.value.name);
      const compare = part.matcher === null ? null : attributeTests[part.matcher];
      if (compare === undefined) return null;
      return {
        test: (element) => {
          const own = attributeOf(element, name);
          return own !== null && (compare === null || compare(own, asked ?? ""));
        },
        weight: 1000,
        key: null,
      };
    }
    case "PseudoClassSelector": {
      const test = part.children ? undefined : pseudoTests[part.name.toLowerCase()];
      return test ? { test, weight: 1000, key: null } : null;
    }
    default:
      return null;
  }
}

/** The most elements that one selector looks at for one element, so that no nesting makes it slow. */
const mostLooks = 2000;

function matches(compounds: readonly Compound[], subject: Element): boolean {
  let looks = 0;
  const from = (at: number, element: Element): boolean => {
    const compound = compounds[at];
    if (++looks > mostLooks || !compound?.tests.every((test) => test(element))) return false;
    if (at === 0) return true;
    switch (compound.combinator) {
      case ">": {
        const parent = parentOf(element);
        return parent !== null && from(at - 1, parent);
      }
      case "+":
      case "~": {
        const { all, at: place } = siblingsOf(element);
        const last = compound.combinator === "+" ? Math.max(0, place - 1) : 0;
        for (let before = place - 1; before >= last; before--) {
          const sibling = all[before];
          if (sibling && from(at - 1, sibling)) return true;
        }
        return false;
      }
      default:
        for (let around = parentOf(element); around; around = parentOf(around))
          if (from(at - 1, around)) return true;
        return false;
    }
  };
  return from(compounds.length - 1, subject);
}

/** The most compounds of a selector: the cost of one that does not match grows with each. */
const longest = 8;

/** A selector that can be asked of elements; null for one that is not understood, or asks for a state. */
export function compileSelector(selector: Selector): CompiledSelector | null {
  const compounds: { tests: Test[]; combinator: string; key: string }[] = [
    { tests: [], combinator: " ", key: "*" },
  ];
  let specificity = 0;
  for (const part of selector.children) {
    let here = compounds.at(-1);
    if (!here) return null;
    if (part.type === "Combinator") {
      here = { tests: [], combinator: part.name, key: "*" };
      compounds.push(here);
      continue;
    }
    const read = readPart(part);
    if (!read) return null;
    here.tests.push(read.test);
    specificity += read.weight;
    // An id or a class is asked for by fewer than an element is.
    if (read.key !== null && (here.key === "*" || !/^[.#]/.test(here.key))) here.key = read.key;
  }
  const last = compounds.length - 1;
  if (compounds.length > longest) return null;
  return {
    matches: (element) => matches(compounds, element),
    specificity,
    key: compounds[last]?.key ?? "*",
  };
}

/** Under which keys rules for an element are kept. */
export function keysOf(element: Element): readonly string[] {
  const id = attributeOf(element, "id");
  const keys = ["*", element.tagName];
  if (id) keys.push(`#${id}`);
  if (attributeOf(element, "class") !== null) for (const name of classesOf(element)) keys.push(`.${name}`);
  return keys;
}
