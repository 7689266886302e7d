/** Input that was made to break something: nothing throws, nothing that runs is kept, and nothing is lost unsaid. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { soundImport, spoiltInput } from "../../../tests/corpus/sound";
import { inheritedNames } from "../../../tests/inherited-names";
import { mostElements } from "./cut-message";
import { importHtml } from "./index";

const expectSound = (html: string): void => expect(soundImport(html)).toBeNull();

describe("hostile input", () => {
  it("of any text is read without failing", () => {
    fc.assert(fc.property(fc.string(), (html) => void importHtml(html)));
  });

  it("of corpus files that were cut, joined and spoilt is sound: 500 of them", () => {
    for (let seed = 1; seed <= 500; seed++)
      expect([seed, soundImport(spoiltInput(seed))]).toEqual([seed, null]);
  }, 120_000);

  it.each(inheritedNames)("that names %s, as every object does, is sound", (_name, html) =>
    expectSound(html),
  );

  it("nested deeply is read", () => {
    expectSound(`${"<div style='padding-left:1px'>".repeat(3000)}Deep`);
    expectSound(`${"<table><tr><td>".repeat(400)}Deep`);
    expectSound(`${"<b><i>".repeat(2000)}Deep`);
  });

  it("of a huge span or table is read", () => {
    expectSound('<table><tr><td colspan="1000000" rowspan="99999999">A</td></tr><tr><td>B</td></tr></table>');
    const { document } = importHtml(`<table>${"<tr><td>x</td><td>y</td></tr>".repeat(12_000)}</table>`);
    expect(document.firstChild?.childCount).toBe(1);
    expect(document.textContent).toBe("xy".repeat(12_000));
  });

  it.each([
    ["beside each other", "<p>x</p>".repeat(100_000)],
    ["in each other", `${"<div>".repeat(100_000)}x`],
    ["that are tables", `${"<table><tr><td>".repeat(50_000)}x`],
    ["with ever the same words", `<p>${"word ".repeat(200_000)}</p>`],
  ])(
    "of 100,000 elements %s is read",
    (_name, html) => {
      expect(importHtml(html).document.textContent).toMatch(/^(x|word ?)+$/);
    },
    60_000,
  );

  it("of more elements than any signature has keeps its words, and tells what else is lost", () => {
    const most = importHtml("<i>x</i>".repeat(mostElements));
    expect(most.document.textContent).toBe("x".repeat(mostElements));
    expect(most.notes).toEqual([]);
    const more = importHtml(
      `${"<i>x</i>".repeat(mostElements)}<div>y<b>z</b><script>bad()</script></div><p>See <a href="https://a.example">it</a> <img src="https://a.example/b.png" alt=""></p><p>End</p>`,
    );
    expect(more.document.textContent).toBe(`${"x".repeat(mostElements)}yzSee itEnd`);
    const last = more.document.toString().slice(-120);
    expect(last).toMatch(/"yz".*"See it".*"End"/);
    expect(last).not.toContain("yzSee");
    expect(more.notes.map(({ outcome, code, at, what }) => [outcome, code, at, what])).toEqual([
      ["lost", "layout", "message", "the looks of 7 elements at its end"],
      ["lost", "link", "message", "https://a.example"],
      ["lost", "picture", "message", "https://a.example/b.png"],
    ]);
    expect(more.notes[0]?.reason).toMatch(
      /^a message is read with its looks up to its first 10,000 elements/,
    );
  });

  it("with a picture and a link in the mark of a list keeps both", () => {
    const { document, notes } = importHtml(
      '<p><span style="mso-list:Ignore"><img src="https://a.example/b.png" alt="Leaf" width="9" height="9"><a href="https://a.example">See</a></span> One</p>',
    );
    expect(document.toString()).toContain("Picture");
    expect(document.textContent).toContain("See");
    expect(notes.filter(({ outcome }) => outcome === "lost")).toEqual([]);
  });

  it("with many rules for many elements is read, and that some do not hold is said", () => {
    const { notes } = importHtml(
      `<style>${".a{color:red}".repeat(5000)}</style>${"<p class=a>x</p>".repeat(200)}`,
    );
    expect(notes.find(({ code }) => code === "style-rule")).toMatchObject({
      outcome: "lost",
      what: "the style sheet",
      at: "message",
    });
  });

  it("with a selector that looks everywhere costs no more than its share", () => {
    const style = `<style>${"div div div div div div div em{color:red}".repeat(20)}</style>`;
    expectSound(`${style}${"<div>".repeat(400)}<em>Deep</em>`);
  });
});
