/**
 * The stand-ins held against the tables: every feature in every kind, and every example of every limit. What is not
 * carried out is named with its reason, and counted.
 */
import { afterAll, describe, expect, it } from "vitest";
import {
  attributeOf,
  elementsIn,
  isText,
  paddingSide,
  parseDeclarations,
  parseMessage,
  type Element,
} from "../html";
import { attributeLimits, pictureLimits } from "./facts/attribute-limits";
import { declarationLimits, markLimits } from "./facts/declaration-limits";
import { features, supportOf, type Feature } from "./facts/features";
import { limits, type Limit } from "./facts/limits";
import { queryLimits } from "./facts/query-limits";
import { unmodelledFeatures, unmodelledLimits } from "./facts/unmodelled";
import { received, standInIds, type StandInId } from "./index";

/** An example as HTML, and how to find it in what came out. */
interface Example {
  readonly html: string;
  readonly isIn: (html: string) => boolean;
}

const inCell = (tag: string, html: string): string =>
  tag === "td" || tag === "th" ? `<table><tr>${html}</tr></table>` : html;

const elementFor = (tag: string, attributes: string): string =>
  tag === "body"
    ? `<body ${attributes}>text</body>`
    : inCell(tag, `<${tag} ${attributes}>${["img", "area", "hr"].includes(tag) ? "" : `text</${tag}>`}`);

/** Of a fragment's elements, a parser puts those of style at its beginning into the head. */
const all = (html: string): readonly Element[] => {
  const { head, body } = parseMessage(html);
  return [...elementsIn(head), ...elementsIn(body)];
};

/** A body comes out as the element around the message. */
const ofTag = (html: string, tag: string): readonly Element[] =>
  all(html).filter(({ tagName }) => tagName === (tag === "body" ? "div" : tag));

const hasDeclarations = (element: Element, wanted: string): boolean => {
  const there = parseDeclarations(attributeOf(element, "style") ?? "").map(
    ({ property, value, mark }) => `${property}:${value}${mark}`,
  );
  return parseDeclarations(wanted).every(({ property, value, mark }) =>
    there.includes(`${property}:${value}${mark}`),
  );
};

const declared = (tag: string, declarations: string): Example => ({
  html: elementFor(tag, `style="${declarations.replaceAll('"', "&quot;")}"`),
  isIn: (html) => ofTag(html, tag).some((element) => hasDeclarations(element, declarations)),
});

const attributed = (tag: string, name: string, value: string): Example => ({
  html: elementFor(tag, `${name}="${value}"`),
  isIn: (html) => ofTag(html, tag).some((element) => attributeOf(element, name) === value),
});

const element = (tag: string): Example => ({
  html: elementFor(tag, ""),
  isIn: (html) => all(html).some(({ tagName }) => tagName === tag),
});

/** The rules of the sheets in what came out, without their spaces. */
const sheets = (html: string): string =>
  all(html)
    .filter(({ tagName }) => tagName === "style")
    .flatMap(({ childNodes }) => childNodes.filter(isText).map(({ value }) => value))
    .join("")
    .replace(/\s/g, "");

const sheet = (css: string): Example => ({
  html: `<head><style>${css}</style></head><body><p>text</p></body>`,
  isIn: (html) => sheets(html).includes(css.replace(/\s/g, "")),
});

const picture = (source: string): Example => attributed("img", "src", source);

/** One example of each feature; those that no stand-in depends on have none. */
const examples: Partial<Readonly<Record<Feature, Example>>> = {
  "css-at-media-prefers-color-scheme": {
    html: "<head><style>@media (prefers-color-scheme:light){p{color:#1d2b2e}}</style></head><body><p>text</p></body>",
    isIn: (html) => sheets(html) === "@media(min-width:0px){p{color:#1d2b2e}}",
  },
  "css-at-media": sheet("@media (max-width:480px){p{color:#1d2b2e}}"),
  "css-background-color": declared("td", "background-color:#f3efe4"),
  "css-background-image": declared("td", "background-image:url(a.png)"),
  "css-background-position": declared("td", "background-position:center"),
  "css-background-repeat": declared("td", "background-repeat:no-repeat"),
  "css-background-size": declared("td", "background-size:cover"),
  "css-background": declared("td", "background:#f3efe4"),
  "css-border-collapse": declared("table", "border-collapse:collapse"),
  "css-border-radius": declared("td", "border-radius:8px"),
  "css-border-spacing": declared("table", "border-spacing:2px"),
  "css-border": declared("td", "border:1px solid #1d2b2e"),
  "css-box-shadow": declared("td", "box-shadow:0 1px 3px #566366"),
  "css-box-sizing": declared("p", "box-sizing:border-box"),
  "css-clear": declared("p", "clear:both"),
  "css-color-scheme": declared("p", "color-scheme:light"),
  "css-display-flex": declared("div", "display:flex"),
  "css-display-none": declared("p", "display:none"),
  "css-display": declared("p", "display:block"),
  "css-float": declared("p", "float:left"),
  "css-font-size": declared("p", "font-size:13px"),
  "css-font-weight": declared("p", "font-weight:bold"),
  "css-font": declared("p", "font-family:Arial,sans-serif"),
  "css-height": declared("td", "height:40px"),
  "css-important": declared("p", "color:#1d2b2e !important"),
  "css-letter-spacing": declared("p", "letter-spacing:1px"),
  "css-line-height": declared("p", "line-height:18px"),
  "css-linear-gradient": declared("td", "background-image:linear-gradient(#ffffff, #f3efe4)"),
  "css-margin": declared("p", "margin:8px 0"),
  "css-max-height": declared("p", "max-height:20px"),
  "css-max-width": declared("table", "max-width:480px"),
  "css-min-height": declared("p", "min-height:20px"),
  "css-min-width": declared("p", "min-width:20px"),
  "css-modern-color": declared("p", "color:hwb(190 20% 60%)"),
  "css-object-fit": declared("img", "object-fit:cover"),
  "css-opacity": declared("p", "opacity:0.5"),
  "css-outline": declared("p", "outline:1px solid #1d2b2e"),
  "css-overflow": declared("p", "overflow:hidden"),
  "css-padding": declared("td", "padding:4px 8px"),
  "css-position": declared("p", "position:relative"),
  "css-rgb": declared("p", "color:rgb(63, 91, 46)"),
  "css-rgba": declared("p", "color:rgba(63, 91, 46, 0.5)"),
  "css-sytem-ui": declared("p", "font-family:system-ui"),
  "css-text-align": declared("p", "text-align:center"),
  "css-text-decoration-line": declared("p", "text-decoration-line:underline"),
  "css-text-decoration": declared("p", "text-decoration:underline"),
  "css-text-indent": declared("p", "text-indent:16px"),
  "css-text-shadow": declared("p", "text-shadow:0 0 2px #1d2b2e"),
  "css-text-transform": declared("p", "text-transform:uppercase"),
  "css-unit-em": declared("p", "font-size:1.2em"),
  "css-unit-in": declared("p", "font-size:0.2in"),
  "css-unit-percent": declared("p", "line-height:120%"),
  "css-unit-pt": declared("p", "font-size:10pt"),
  "css-unit-px": declared("p", "font-size:13px"),
  "css-unit-rem": declared("p", "line-height:1rem"),
  "css-variables": declared("p", "--ink:#1d2b2e;color:var(--ink)"),
  "css-vertical-align": declared("td", "vertical-align:top"),
  "css-visibility": declared("p", "visibility:hidden"),
  "css-white-space": declared("p", "white-space:nowrap"),
  "css-width": declared("table", "width:320px"),
  "css-word-break": declared("p", "word-break:break-all"),
  "css-word-wrap": declared("p", "word-wrap:break-word"),
  "html-align": attributed("td", "align", "right"),
  "html-aria-hidden": attributed("p", "aria-hidden", "true"),
  "html-aria-label": attributed("p", "aria-label", "name"),
  "html-aria-labelledby": attributed("table", "aria-labelledby", "name"),
  "html-background": attributed("td", "background", "a.png"),
  "html-body": {
    html: '<body bgcolor="#f3efe4">text</body>',
    isIn: (html) => all(html).some((found) => hasDeclarations(found, "background-color:#f3efe4")),
  },
  "html-cellpadding": attributed("table", "cellpadding", "4"),
  "html-cellspacing": attributed("table", "cellspacing", "4"),
  "html-div": element("div"),
  "html-h1-h6": element("h2"),
  "html-height": attributed("td", "height", "40"),
  "html-hr": element("hr"),
  "html-image-maps": attributed("img", "usemap", "#places"),
  "html-img": element("img"),
  "html-lang": attributed("p", "lang", "fr"),
  "html-mailto-links": attributed("a", "href", "mailto:desk@harrowfen.example"),
  "html-p": element("p"),
  "html-role": attributed("table", "role", "presentation"),
  "html-small": element("small"),
  "html-span": element("span"),
  "html-srcset": attributed("img", "srcset", "b.png 2x"),
  "html-strong": element("strong"),
  "html-style": sheet("p{color:#1d2b2e}"),
  "html-table": element("table"),
  "html-target": attributed("a", "target", "_self"),
  "html-valign": attributed("td", "valign", "middle"),
  "html-width": attributed("td", "width", "120"),
  "image-apng": picture("loop.apng"),
  "image-avif": picture("photo.avif"),
  "image-base64": picture("data:image/png;base64,AAAA"),
  "image-gif": picture("still.gif"),
  "image-jpg": picture("photo.jpg"),
  "image-png": picture("logo.png"),
  "image-svg": picture("logo.svg"),
  "image-webp": picture("photo.webp"),
};

/** Reads an example of the limits' file. */
function exampleOf(snippet: string): Example {
  const rule = /^([a-z]+)\{(.*)\}$/s.exec(snippet);
  const attribute = /^([a-z]+)\[([a-z-]+)(\^?)="?(.*?)"?\]$/s.exec(snippet);
  if (snippet.startsWith("@media"))
    return sheet(snippet.includes("{") ? snippet : `${snippet}{p{color:#1d2b2e}}`);
  const inSheet = /<style>(.*?)<\/style>/s.exec(snippet);
  if (inSheet?.[1] !== undefined) {
    const css = inSheet[1];
    const html = snippet.startsWith("<style>") && !snippet.includes("<p") ? sheet(css).html : snippet;
    return {
      html,
      isIn: (shown) => sheets(shown).includes(css.replace(/\/\*.*?\*\//g, "").replace(/\s/g, "")),
    };
  }
  if (rule?.[1] && rule[2]) return declared(rule[1], rule[2]);
  if (attribute?.[1] && attribute[2]) {
    const [, tag, name, begins, value = ""] = attribute;
    if (name === "style") return declared(tag, value.replace(/\/\*.*?\*\//g, ""));
    if (tag === "body")
      return {
        html: elementFor(tag, `${name}="${value}"`),
        isIn: (html) => ofTag(html, tag).some((found) => attributeOf(found, "style")?.includes(value)),
      };
    return attributed(tag, name, begins ? `${value}AAAA` : value);
  }
  if (snippet.startsWith("<")) return { html: snippet, isIn: (html) => html.includes(snippet) };
  return declared("p", snippet);
}

const tally = {
  kept: 0,
  gone: 0,
  "told by limits": 0,
  "not tested by anybody": 0,
  examples: 0,
  overruled: 0,
};

afterAll(() => {
  const left = Object.entries({ ...unmodelledFeatures, ...unmodelledLimits });
  process.stdout.write(
    `Stand-ins against the tables: ${Object.entries(tally)
      .map(([name, count]) => `${count} ${name}`)
      .join(
        ", ",
      )}.\nNot modelled (${left.length}):\n${left.map(([what, why]) => `  ${what} — ${why}`).join("\n")}`,
  );
});

const limitsOf = (feature: Feature, client: StandInId): readonly Limit[] =>
  limits.filter((limit) => limit.feature === feature && limit.clients.includes(client));

/** Style sheets go before they reach the tables. */
const noSheets: readonly StandInId[] = ["webmail-inline", "phone-inline-partial", "phone-inline-full"];

describe.each(standInIds)("%s keeps and drops what the table says", (client) => {
  it.each(features)("%s", (feature) => {
    const example = examples[feature];
    const support = supportOf(feature, client);
    if (!example) {
      expect(unmodelledFeatures[feature]).toBeDefined();
      return;
    }
    // The table's yes to a rule in a sheet that it says no to.
    if (feature === "css-at-media" && supportOf("html-style", client) === "no") {
      tally.overruled += 1;
      return;
    }
    if (support === "partly" || limitsOf(feature, client).length > 0) {
      tally["told by limits"] += 1;
      expect(limitsOf(feature, client)).not.toEqual([]);
      return;
    }
    const there = example.isIn(received(example.html, client).html);
    if (support === "yes") tally.kept += 1;
    else if (support === "no") tally.gone += 1;
    else tally["not tested by anybody"] += 1;
    expect(there, example.html).toBe(support !== "no");
  });
});

/** Examples that the table itself, or what a kind does before it, contradicts; each with its reason. */
function overruled(snippet: string, limit: Limit, client: StandInId): string | null {
  if (noSheets.includes(client) && /@media|<style>/.test(snippet)) return "its settings take no style sheet";
  if (noSheets.includes(client) && /\[id=/.test(snippet)) return "its settings take no ids";
  if (client === "webmail-budget" && snippet.startsWith("text-decoration-line"))
    return "the table says no to text-decoration-line";
  if (/^<|image-(avif|webp)/.test(`${snippet} ${limit.feature}`) && /image-(avif|webp)/.test(limit.feature))
    return "the file is converted by the client's cache, and its address says so there";
  return unmodelledFeatures[limit.feature] ?? null;
}

/** `img[align=left]` as `<img align="left">`. */
const spelledOut = (snippet: string): string =>
  snippet.replace(/^([a-z]+)\[([a-z-]+)=(.*)\]$/, '<$1 $2="$3">');

/** The padding of each cell above and below. */
const paddings = (html: string): readonly unknown[] =>
  ofTag(html, "td").map((cell) => {
    const declarations = parseDeclarations(attributeOf(cell, "style") ?? "");
    return [paddingSide(declarations, "top"), paddingSide(declarations, "bottom")];
  });

/** What became of an example, as the limit tells it. */
function becomes(from: string, to: string, client: StandInId, limit: Limit): void {
  const account = limit.accounts ?? "own";
  if (from.startsWith("<tr>")) {
    const { html } = received(`<table>${from}</table>`, client, { account });
    expect(paddings(html)).toEqual(paddings(`<table>${to}</table>`));
    return;
  }
  const { html } = received(exampleOf(from).html, client, { account });
  const wanted = to.replace("PREFIX", "shown-");
  if (wanted === "") expect(sheets(html)).toBe("");
  else if (/^<(p|img|td)/.test(wanted) || wanted.startsWith("<span")) {
    const tag = wanted.startsWith("<span") ? "img" : (/<([a-z]+)[^>]*>$/.exec(wanted)?.[1] ?? "");
    const [shown] = ofTag(html, tag);
    // Paragraphs get margins of the kind's own beside it.
    for (const { name } of parseMessage(from).body.childNodes.flatMap((node) =>
      "attrs" in node ? node.attrs : [],
    ))
      if (!wanted.includes(name)) expect((shown && attributeOf(shown, name)) ?? "").not.toContain("color");
    if (wanted.startsWith("<span")) expect(shown?.parentNode?.nodeName).toBe("span");
  } else expect(exampleOf(wanted).isIn(html), `${from} → ${html}`).toBe(true);
}

describe("every example of every limit", () => {
  const cases = limits.flatMap((limit) =>
    limit.clients.map((client) => [`${limit.feature}, ${client}: ${limit.says}`, limit, client] as const),
  );

  it.each(cases)("%s", (_title, limit, client) => {
    const account = limit.accounts ?? "own";
    for (const [snippets, kept] of [
      [limit.keeps, true],
      [limit.drops, false],
    ] as const)
      for (const snippet of snippets) {
        const how = limit.becomes?.[snippet];
        // What is only drawn differently stays in the source.
        if (!kept && limit.drawn) continue;
        if (overruled(snippet, limit, client) !== null) {
          tally.overruled += 1;
          continue;
        }
        tally.examples += 1;
        // Told by what it becomes, under the same or another spelling.
        if (!kept && (how !== undefined || limit.becomes?.[spelledOut(snippet)] !== undefined)) continue;
        const example = exampleOf(snippet);
        const { html } = received(example.html, client, { account });
        expect(example.isIn(html), `${snippet} → ${html}`).toBe(kept);
      }
    for (const [from, to] of Object.entries(limit.becomes ?? {})) {
      if (overruled(from, limit, client) !== null || limit.feature === "html-body") continue;
      becomes(from, to, client, limit);
    }
  });

  it("is carried out, or has its reason", () => {
    const tables = [declarationLimits, attributeLimits, pictureLimits].map(
      (table) => table as Readonly<Record<string, Readonly<Record<string, unknown>>>>,
    );
    const sentences = new Set(limits.map(({ says }) => says));
    for (const { feature, says } of limits) {
      const carried =
        tables.some((table) => table[feature]?.[says]) ||
        queryLimits[says] ||
        markLimits[says] ||
        unmodelledLimits[says];
      expect(carried, `${feature}: ${says}`).toBeTruthy();
    }
    const known = [
      ...tables.flatMap((table) => Object.values(table).flatMap((rules) => Object.keys(rules))),
      ...Object.keys(queryLimits),
      ...Object.keys(markLimits),
      ...Object.keys(unmodelledLimits),
    ];
    expect(known.filter((says) => !sentences.has(says))).toEqual([]);
  });

  it("has features without an example only where none depends on them", () => {
    expect(features.filter((feature) => !examples[feature] && !unmodelledFeatures[feature])).toEqual([]);
  });
});
