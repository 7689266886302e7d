import { parse } from "parse5";
import { expect, it } from "vitest";
import { proofReport, type Finding, type ReportedProof } from "./index";

const finding: Finding = {
  code: "table-too-wide",
  severity: "attention",
  station: "build",
  clients: [],
  position: null,
  at: "signature",
  message: "The table is <b>500</b> px wide.",
};
const proof: ReportedProof = {
  client: "phone-suite",
  mode: "dark",
  account: "own",
  html: "<p>Ada</p>",
  changes: [],
  said: "moved 12 px",
  still: false,
};
const reported = {
  name: "Press & desk",
  person: "Ada Quill",
  day: "27 November 2026",
  stillness: "Still in 24 of 28",
  definition: "A proof is still when nothing moved.",
  findings: [finding, { ...finding, message: "Known.", aside: "We want it <so>." }],
  proofs: [proof],
};

it("says what was found and measured, with everything escaped that is no HTML", () => {
  const html = proofReport(reported);
  expect(html).toContain("<h1>Press &amp; desk</h1>");
  expect(html).toContain("The table is &lt;b&gt;500&lt;/b&gt; px wide.");
  expect(html).toContain("Left as it is: We want it &lt;so&gt;.");
  expect(html).toContain("Phone mail of an office suite, dark");
  expect(html).toContain("moved 12 px");
});

it("is one valid document that loads and runs nothing", () => {
  const html = proofReport(reported);
  const errors: string[] = [];
  parse(html, { onParseError: ({ code }) => errors.push(code) });
  expect(errors).toEqual([]);
  expect(html).toContain("default-src 'none'; img-src data:");
  expect(html).not.toMatch(/<script|src="(?!data:)|href="http/);
});

it("draws each proof on its own canvas, apart from the page", () => {
  expect(proofReport(reported)).toMatch(
    /<template shadowrootmode="open"><style>:host\{display:block;width:390px;[^<]*background:#[0-9A-F]{6}/,
  );
});

it("says so where nothing was found", () => {
  expect(proofReport({ ...reported, findings: [] })).toContain("Nothing will go wrong that is known.");
});
