/** How elements look of themselves (WHATWG HTML 15.3), as far as a mail uses them. */
import { wordTable } from "../../values";
import type { Declaration } from "../../html";

const said = (style: string): readonly Declaration[] =>
  style.split(";").map((declaration) => {
    const [property = "", value = ""] = declaration.split(":");
    return { property, value, mark: "" };
  });

const block = "display:block";
const paragraph = `${block};margin:1em 0`;
const list = `${paragraph};padding-inline-start:40px;list-style-type:disc`;
const heading = (size: number, margin: number): string =>
  `${block};font-size:${size}em;margin:${margin}em 0;font-weight:bold`;
const hidden = "display:none";

const byTag = wordTable<string>({
  address: `${block};font-style:italic`,
  article: block,
  aside: block,
  blockquote: `${block};margin:1em 40px`,
  center: `${block};text-align:center`,
  dd: `${block};margin-left:40px`,
  details: block,
  dir: list,
  div: block,
  dl: paragraph,
  dt: block,
  fieldset: block,
  figcaption: block,
  figure: `${block};margin:1em 40px`,
  footer: block,
  form: block,
  h1: heading(2, 0.67),
  h2: heading(1.5, 0.83),
  h3: heading(1.17, 1),
  h4: heading(1, 1.33),
  h5: heading(0.83, 1.67),
  h6: heading(0.67, 2.33),
  header: block,
  hr: `${block};margin:0.5em 0`,
  li: "display:list-item",
  main: block,
  nav: block,
  ol: list,
  p: paragraph,
  pre: `${paragraph};font-family:Courier New,Courier,monospace;white-space:pre`,
  section: block,
  summary: block,
  ul: list,
  b: "font-weight:bold",
  strong: "font-weight:bold",
  i: "font-style:italic",
  em: "font-style:italic",
  cite: "font-style:italic",
  dfn: "font-style:italic",
  var: "font-style:italic",
  u: "text-decoration:underline",
  ins: "text-decoration:underline",
  s: "text-decoration:line-through",
  strike: "text-decoration:line-through",
  del: "text-decoration:line-through",
  mark: "background-color:#FFFF00",
  code: "font-family:Courier New,Courier,monospace",
  tt: "font-family:Courier New,Courier,monospace",
  kbd: "font-family:Courier New,Courier,monospace",
  samp: "font-family:Courier New,Courier,monospace",
  big: "font-size:larger",
  small: "font-size:smaller",
  sub: "vertical-align:sub",
  sup: "vertical-align:super",
  table: "display:table;text-indent:0",
  tbody: "display:table-row-group",
  thead: "display:table-row-group;vertical-align:middle",
  tfoot: "display:table-row-group;vertical-align:middle",
  tr: "display:table-row",
  td: "display:table-cell",
  th: "display:table-cell;font-weight:bold;text-align:center",
  caption: `${block};text-align:center`,
  col: hidden,
  colgroup: hidden,
  area: hidden,
  template: hidden,
  datalist: hidden,
});

const parsed = new Map(Object.entries(byTag).map(([tag, style]) => [tag, said(style)]));
const nothing: readonly Declaration[] = [];

export const ownLook = (tag: string): readonly Declaration[] => parsed.get(tag) ?? nothing;
