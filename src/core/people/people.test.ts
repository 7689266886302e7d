import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import {
  changePerson,
  details,
  drawnPerson,
  emptyPerson,
  fieldId,
  fieldKind,
  fieldLabel,
  fieldLink,
  fieldNames,
  fieldsOf,
  fieldValue,
  inverse,
  ownFieldOf,
  readPerson,
  staleFields,
  type PhoneForm,
} from "./index";

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

describe("a field of the user's own", () => {
  const direct = ownFieldOf("phone", " Direct line ");
  const person = readPerson({ name: "Ada", [direct]: "+44 1632 960100" });

  it("is known by its kind and its name", () => {
    expect([direct, fieldKind(direct), fieldLabel(direct)]).toEqual([
      "phone:Direct line",
      "phone",
      "Direct line",
    ]);
    expect(fieldLink(direct, fieldValue(person, direct))).toBe("tel:+441632960100");
    expect(fieldsOf([emptyPerson, person])).toEqual([...fieldNames, direct]);
    expect(fieldValue(emptyPerson, direct)).toBe("");
  });

  it.each(["shoe:Size", "phone:", "phone: Line", "text:a\nb", "toString", "constructor:x", 7])(
    "is not %j",
    (name) => expect(fieldId.check(name)).not.toBeNull(),
  );
});

describe("a change of a directory", () => {
  const ada = readPerson({ name: "Ada", title: "Head", "text:Room": "7" });

  it("is carried out and taken back", () => {
    const change = {
      id: "ada",
      from: { title: "Head", "text:Room": "7" },
      to: { title: "Lead", "text:Room": "" },
    };
    const after = changePerson(ada, change);
    expect(after).toEqual(readPerson({ name: "Ada", title: "Lead" }));
    expect(changePerson(after, inverse(change))).toEqual(ada);
  });

  it("that was made from something else is seen to be", () => {
    const change = { id: "ada", from: { title: "Lead", name: "Ada" }, to: { title: "x" } };
    expect(staleFields(ada, change)).toEqual(["title"]);
    expect(staleFields(null, change)).toEqual(["name"]);
    expect(staleFields(ada, { id: "ada", from: null, to: { name: "Ada" } })).toEqual(["name"]);
    expect(staleFields(null, { id: "ada", from: null, to: { name: "Ada" } })).toEqual([]);
  });

  it("holds nothing but fields and texts", () => {
    expect(details.check({ title: "x", "date:Since": "2020-01-01" })).toBeNull();
    expect(details.check({ shoe: "7" })).toBe('has no field "shoe"');
    expect(details.check({ title: "x".repeat(301) })).toMatch(/^title: must be text of at most 300/);
  });
});

describe("phone numbers", () => {
  const inBritain: PhoneForm = { style: "national", extension: true, callingCode: "44" };
  const ada = readPerson({
    ...{ name: "Ada", phone: "+44 1632 960100 ext 12", mobile: "07700 900100" },
    "phone:Berlin": "+49 30 901820",
  });
  const written = (form: PhoneForm) => {
    const { phone, mobile, ...more } = drawnPerson(ada, form);
    return [phone, mobile, more["phone:Berlin"]];
  };

  it("are written as the organisation says, and those of elsewhere with their country", () => {
    expect(written(inBritain)).toEqual(["01632 960100 ext. 12", "07700 900100", "+49 30 901820"]);
    expect(written({ ...inBritain, style: "international", extension: false })).toEqual([
      "+44 1632 960100",
      "+44 7700 900100",
      "+49 30 901820",
    ]);
    expect(written({ ...inBritain, style: "typed" })).toEqual([ada.phone, ada.mobile, "+49 30 901820"]);
  });

  it("lead to the same number in each form, from anywhere", () => {
    for (const style of ["typed", "national", "international"] as const) {
      const person = drawnPerson(ada, { ...inBritain, style });
      expect(fieldLink("phone", person.phone, person.callingCode)).toBe("tel:+441632960100;ext=12");
      expect(fieldLink("mobile", person.mobile, person.callingCode)).toBe("tel:+447700900100");
    }
  });

  it("that are none are left as they are", () => {
    const odd = readPerson({ name: "Ada", phone: "ask at the desk", mobile: "12" });
    expect(drawnPerson(odd, inBritain)).toEqual({ ...odd, callingCode: "44" });
    expect(drawnPerson(odd, { ...inBritain, callingCode: "", style: "typed" })).toBe(odd);
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
