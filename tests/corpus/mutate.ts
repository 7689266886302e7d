/** Spoilt inputs: pieces of several files joined, cut, doubled and mistyped, the same for the same seed. */

/** Numbers from 0 to 1 by a linear congruence; the same for the same seed. */
function numbersFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const attacks = [
  "<script>alert(1)</script>",
  '<img src=x onerror="alert(1)">',
  "<a href='java\tscript:alert(1)'>run</a>",
  "</table></td>",
  "<table><tr>",
  '<td colspan="9" rowspan="0">',
  "<!--[if mso]>",
  "<![endif]-->",
  '<p style="margin:-20px;font:1e9px x;color:rgb(1 2 3/.5);width:1e9px">',
  "<style>*{color:red!important}a[href^='x']>b~i{padding:calc(1em)}</style>",
  `<div data-still="{'a':{'align':'x'},'o':'1'}">`,
  "<svg><style><img src=x onerror=x()>",
  "<select><option>chosen</option></select>",
  "<ul><li><ol><li>",
  "\u0000\u0008\ud800",
  "&#0;&lt;&nbsp;&zwj;",
  "<center><font size='+9' face=''>",
  "<img src='data:image/png;base64,AA' width='-3' height='1e9'>",
  "<blockquote style='display:flex;float:right;clear:both;position:absolute'>",
];

/** One spoilt input made of some of the given ones. */
export function mutated(inputs: readonly string[], seed: number): string {
  const next = numbersFrom(seed * 2654435761);
  const below = (most: number): number => Math.floor(next() * most);
  const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
  let html = pick(inputs);
  const edits = 1 + below(8);
  for (let edit = 0; edit < edits; edit++) {
    const at = below(html.length + 1);
    const length = below(200);
    switch (below(6)) {
      case 0:
        html = html.slice(0, at) + html.slice(at + length);
        break;
      case 1:
        html = html.slice(0, at) + pick(attacks) + html.slice(at);
        break;
      case 2: {
        const other = pick(inputs);
        const from = below(other.length);
        html = html.slice(0, at) + other.slice(from, from + 2 * length) + html.slice(at);
        break;
      }
      case 3:
        html = html.slice(0, at) + html.slice(at, at + length) + html.slice(at);
        break;
      case 4:
        html = html.replaceAll(
          pick(["px", "table", "td", "div", '"', "=", ">", "style"]),
          pick(["em", "p", "", "%", "<", "span"]),
        );
        break;
      default:
        html = html.slice(0, at) + String.fromCharCode(below(0x3000)) + html.slice(at + 1);
    }
  }
  return html.slice(0, 60_000);
}
