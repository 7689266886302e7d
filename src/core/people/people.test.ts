import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { emptyPerson, fieldLink, fieldNames, fieldValue, readPerson } from "./index";

describe("a person", () => {
  it("may leave fields out", () => {
    expect(readPerson({ name: "Ada Quill" })).toEqual({ ...emptyPerson, name: "Ada Quill" });
  });

  it.each([
    [[], "person: must be an object of fields"],
    [{ shoe: "7" }, 'person: there is no field "shoe"'],
    [{ name: 7 }, "person, name: must be text of at most 300 characters"],
    [{ title: "x".repeat(301) }, "person, title: must be text of at most 300 characters"],
  ])("%j is refused, naming the field", (json, message) => expect(() => readPerson(json)).toThrow(message));

  it("has fields that link themselves, and fields that are only read", () => {
    const links = Object.fromEntries(
      fieldNames.map((field) => [field, fieldLink(field, "ada@harrowfen.example")]),
    );
    expect(links.mail).toBe("mailto:ada@harrowfen.example");
    expect(links.name).toBeNull();
    expect(fieldLink("phone", "+44 1632 960100")).toBe("tel:+441632960100");
    expect(fieldLink("web", "harrowfen.example")).toBe("https://harrowfen.example");
    expect(fieldLink("address", "3 Sluice Lane")).toBe("visit");
    expect(fieldLink("phone", "ask at the desk")).toBeNull();
  });

  it.each([
    ["phone", "+44 (01632) 960100", "tel:+441632960100"],
    ["phone", "01632 960100 ext 12", "tel:01632960100;ext=12"],
    ["mobile", "Mob: +44 7700 900123", "tel:+447700900123"],
    ["web", "https//harrowfen.example", "https://harrowfen.example"],
    ["mail", "Ada (ada@harrowfen.example)", "mailto:ada@harrowfen.example"],
    ["mail", "harrowfen.example", null],
    ["phone", "desk@harrowfen.example", null],
    ["web", "+44 1632 960100", null],
  ] as const)("is read as a link that is typed: %s %j leads to %s", (field, value, href) => {
    expect(fieldLink(field, value)).toBe(href);
  });

  it("with a field of spaces has nothing there", () => {
    expect(fieldValue({ ...emptyPerson, title: "  " }, "title")).toBe("");
  });
});

describe("the demo's people", () => {
  const people = readdirSync("demo/people").map((file) =>
    readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8"))),
  );

  it("are 24, all readable, at one domain, with phones from ranges kept for fiction", () => {
    expect(people).toHaveLength(24);
    for (const { mail, phone, mobile } of people) {
      expect(mail).toMatch(/^[a-z]+@harrowfen\.example$/);
      expect(phone).toMatch(/^(\+44 1632 960\d{3})?$/);
      expect(mobile).toMatch(/^(\+44 7700 900\d{3})?$/);
    }
  });
});
