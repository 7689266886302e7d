/** A person's details in an imported signature, as fields. */
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { emptyPerson, type Person } from "../people";
import { importHtml, offerFields, takeFields, whoseDetails } from "./index";

const ada: Person = {
  ...emptyPerson,
  name: "Ada Quill",
  title: "Archivist",
  phone: "+44 1632 960100",
  mail: "ada@harrowfen.example",
  web: "harrowfen.example",
};
const bram: Person = { ...emptyPerson, name: "Bram Uzel", phone: ada.phone };

const html = `<div style="font-family:Arial;font-size:13px"><p style="margin:0"><b>ADA  Quill</b>, Archivist</p>
<p style="margin:0">Call (01632) 960100 or write to <a href="mailto:ada@harrowfen.example" style="color:#C08A2B">ada@harrowfen.example</a></p></div>`;
const { document } = importHtml(html);
const offers = offerFields(document, ada);

describe("details of a person", () => {
  it("are found whatever their spaces, case and way of writing a number", () => {
    expect(offers.map(({ field, text }) => [field, text])).toEqual([
      ["name", "ADA Quill"],
      ["title", "Archivist"],
      ["phone", "(01632) 960100"],
      ["mail", "ada@harrowfen.example"],
    ]);
  });

  it("become fields, all or some of them, and say the same for that person", () => {
    const some = takeFields(document, offers.slice(1, 2), ada);
    expect(some.textContent).toBe(document.textContent.replace("Archivist", ""));
    const all = takeFields(document, offers, ada);
    const fields: unknown[] = [];
    all.descendants((node) => {
      if (node.type.name === "personField")
        fields.push([node.attrs.field, node.marks.map(({ type }) => type.name)]);
    });
    expect(fields).toEqual([
      ["name", ["bold"]],
      ["title", []],
      ["phone", []],
      ["mail", []],
    ]);
    const plain = compile(all, { destination: "plain-text", person: ada, base: "https://p.example" });
    expect(plain).toContain("Ada Quill, Archivist");
    expect(plain).toContain("ada@harrowfen.example");
    // Who has nothing there shows what stood there.
    expect(
      compile(all, { destination: "plain-text", person: emptyPerson, base: "https://p.example" }),
    ).toContain("ADA Quill");
  });

  it("are those of whoever's name or mail address stands there, and of nobody where neither does", () => {
    expect(whoseDetails(document, [{ person: bram }, { person: ada }])?.person.name).toBe("Ada Quill");
    expect(whoseDetails(importHtml("<p>Call +44 1632 960100</p>").document, [{ person: bram }])).toBeNull();
  });
});
