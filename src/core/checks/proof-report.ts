/**
 * Proofs and findings of a signature as one HTML file that holds everything itself, to print or to hand on. Nothing in it
 * runs, and it loads nothing.
 */
import { standIns, type Proof } from "../clients";
import { element, escapeText } from "../html";
import type { Finding, Severity } from "./finding";

export interface ReportedProof extends Proof {
  /** "still", or what is not: "moved 12 px". */
  readonly said: string;
  readonly still: boolean;
}

export interface ReportedSignature {
  readonly name: string;
  /** Whose details it is drawn with; empty where that is nobody in particular. */
  readonly person: string;
  /** A day as people write it. */
  readonly day: string;
  /** "Still in 24 of 28". */
  readonly stillness: string;
  /** What that means. */
  readonly definition: string;
  readonly findings: readonly Finding[];
  /** Their pictures as `data:` addresses. */
  readonly proofs: readonly ReportedProof[];
}

const severities: readonly (readonly [Severity, string])[] = [
  ["break", "Will break"],
  ["attention", "Needs attention"],
  ["note", "Good to know"],
];

const policy = "default-src 'none'; img-src data:; style-src 'unsafe-inline'";

const style = `
:root{color-scheme:light}
body{margin:32px auto;max-width:1000px;padding:0 24px;background:#F6F4EE;color:#1D2B2E;font:14px/1.45 system-ui,sans-serif}
h1,h2{font-family:Georgia,serif;font-weight:500;line-height:1.2}
h1{font-size:30px;margin:0}h2{font-size:20px;margin:32px 0 8px;border-top:1px solid #1F5B57;padding-top:10px}
h3{font-size:13px;margin:16px 0 4px}
.soft{color:#566366}.proofs{display:grid;grid-template-columns:1fr 1fr;gap:20px 24px}
.proof{break-inside:avoid;min-width:0}.proof b{font-weight:600}.still{color:#55601A}.not{color:#A3461F}
.drawn{border:1px solid #D9D5C8;overflow:hidden;zoom:.7}
li{margin:4px 0;break-inside:avoid}
@media print{body{background:#fff;margin:0;max-width:none;padding:0}*{print-color-adjust:exact}}
`;

/** A proof in a tree of its own, so that neither its rules nor the page's reach the other. */
function drawn({ client, mode, html }: ReportedProof): string {
  const { canvas, text, type, linkColor, width } = standIns[client];
  const rules =
    `:host{display:block;width:${width}px;padding:8px;background:${canvas[mode]};color:${text[mode]};` +
    `font:${type.size}px ${type.family};line-height:normal}a{color:${linkColor[mode]}}`;
  return `<div class="drawn"><div><template shadowrootmode="open"><style>${rules}</style>${html}</template></div></div>`;
}

const proofOf = (proof: ReportedProof): string =>
  element(
    "section",
    { class: "proof" },
    {},
    element("h3", {}, {}, escapeText(`${standIns[proof.client].name}, ${proof.mode}`)) +
      element("p", { class: proof.still ? "still" : "not" }, { margin: "0 0 4px" }, escapeText(proof.said)) +
      drawn(proof),
  );

function findingsOf(findings: readonly Finding[]): string {
  const open = findings.filter(({ aside }) => aside === undefined);
  const left = findings.filter(({ aside }) => aside !== undefined);
  const entry = ({ at, message, aside }: Finding): string =>
    element(
      "li",
      {},
      {},
      escapeText(message) +
        element("span", { class: "soft" }, {}, escapeText(` ${at}`)) +
        (aside === undefined
          ? ""
          : element("div", { class: "soft" }, {}, escapeText(`Left as it is: ${aside}`))),
    );
  const group = (title: string, all: readonly Finding[]): string =>
    all.length === 0
      ? ""
      : element("h3", {}, {}, escapeText(title)) + element("ul", {}, {}, all.map(entry).join(""));
  const groups = [
    ...severities.map(([severity, title]) =>
      group(
        title,
        open.filter((finding) => finding.severity === severity),
      ),
    ),
    group("Left as they are", left),
  ].join("");
  return groups || element("p", {}, {}, "Nothing will go wrong that is known.");
}

export function proofReport(reported: ReportedSignature): string {
  const { name, person, day, stillness, definition, findings, proofs } = reported;
  const about = [person && `drawn for ${person}`, day].filter((part) => part).join(", ");
  return (
    `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${policy}">` +
    `<title>${escapeText(`Proof of ${name}`)}</title><style>${style}</style></head><body>` +
    element("h1", {}, {}, escapeText(name)) +
    element("p", { class: "soft" }, { margin: "4px 0 16px" }, escapeText(about)) +
    element("p", {}, {}, element("b", {}, {}, escapeText(`${stillness}.`)) + escapeText(` ${definition}`)) +
    element(
      "p",
      { class: "soft" },
      {},
      "Stand-ins are simulations, built from published facts about kinds of mail client. They are not the clients themselves.",
    ) +
    element("h2", {}, {}, "Findings") +
    findingsOf(findings) +
    element("h2", {}, {}, "Proofs, the least still first") +
    element("div", { class: "proofs" }, {}, proofs.map(proofOf).join("")) +
    "</body></html>\n"
  );
}
