import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { emptyPerson, readCards, readSheet, type PersonChange } from "@/core/people";
import { addPerson, changePeople, takeBackChange } from "./change-people";
import { directory } from "./directory";
import { exportPeople } from "./export-people";
import { choosePeople, detailsIn, findInDirectory, lookForPeople } from "./find-people";
import {
  addOwnField,
  findChosenColumns,
  keepChosenColumns,
  listOwnFields,
  removeOwnField,
} from "./own-fields";
import { countPeople, findPerson, listPeople } from "./people";
import { findPhoneForm, keepPhoneForm } from "./phone-form";

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const adding = (name: string, more: object = {}): PersonChange => ({
  id: "",
  from: null,
  to: { name, ...more },
});
const everybody = async () => (await directory()).typed;

beforeEach(async () => {
  const all = await everybody();
  if (all.length > 0) await changePeople(all.map(({ id }) => ({ id, from: {}, to: null })));
});

describe("a change of the directory", () => {
  it("adds people under ids that are made of their names, and is taken back and forth", async () => {
    const { ids, change } = await changePeople([adding("Zoë Ngata", { "text:Room": "7" }), adding("יונתן")]);
    expect(ids[0]).toMatch(/^zoe-ngata-[0-9a-f]{8}$/);
    expect(ids[1]).toMatch(/^person-[0-9a-f]{8}$/);
    expect((await findPerson(ids[0] ?? ""))?.person).toEqual({
      ...emptyPerson,
      name: "Zoë Ngata",
      "text:Room": "7",
    });
    const undone = await takeBackChange(change);
    expect(await countPeople()).toBe(0);
    await takeBackChange(undone.change);
    expect((await everybody()).map(({ id }) => id).sort()).toEqual([...ids].sort());
  });

  it("takes somebody out with everything, and back with everything, whatever it was told of them", async () => {
    const { ids } = await changePeople([
      adding("Ada Quill", { title: "Head", "phone:Direct line": "12345" }),
    ]);
    const [id = ""] = ids;
    const before = await everybody();
    const { change } = await changePeople([{ id, from: { name: "Ada Quill" }, to: null }]);
    expect(await findPerson(id)).toBeNull();
    await takeBackChange(change);
    expect(await everybody()).toEqual(before);
  });

  it("that was made from something older writes nothing at all, and says of whom", async () => {
    const { ids } = await changePeople([adding("Ada", { title: "Head" }), adding("Bo", { title: "Lead" })]);
    const [ada = "", bo = ""] = ids;
    const changes = [
      { id: bo, from: { title: "Lead" }, to: { title: "Deputy" } },
      { id: ada, from: { title: "Lead" }, to: { title: "Keeper" } },
    ];
    await expect(changePeople(changes)).rejects.toThrow(
      "Somebody changed Title of Ada meanwhile. Nothing was written",
    );
    expect((await everybody()).map(({ person }) => person.title).sort()).toEqual(["Head", "Lead"]);
  });

  it("cannot be taken back over a later one", async () => {
    const { ids } = await changePeople([adding("Ada", { title: "Head" })]);
    const [id = ""] = ids;
    const first = await changePeople([{ id, from: { title: "Head" }, to: { title: "Lead" } }]);
    await changePeople([{ id, from: { title: "Lead" }, to: { title: "Keeper" } }]);
    await expect(takeBackChange(first.change)).rejects.toThrow("Somebody changed Title of Ada meanwhile.");
    expect((await findPerson(id))?.person.title).toBe("Keeper");
  });

  it("of two that are made from the same at once, one is refused", async () => {
    const { ids } = await changePeople([adding("Ada", { title: "Head" })]);
    const [id = ""] = ids;
    const results = await Promise.allSettled(
      ["Lead", "Keeper"].map((title) => changePeople([{ id, from: { title: "Head" }, to: { title } }])),
    );
    expect(results.map(({ status }) => status)).toEqual(["fulfilled", "rejected"]);
    expect((await findPerson(id))?.person.title).toBe("Lead");
  });

  it("of thousands is one, and one step back", async () => {
    const { change } = await changePeople(
      Array.from({ length: 2500 }, (_unused, n) => adding(`Person ${n}`)),
    );
    expect(await countPeople()).toBe(2500);
    await takeBackChange(change);
    expect(await countPeople()).toBe(0);
  });

  it("leaves the directory as it is read anew", async () => {
    const { ids } = await changePeople([
      adding("Cy"),
      adding("Ada", { phone: "+44 1632 960100" }),
      adding("Bo"),
    ]);
    await changePeople([
      { id: ids[0] ?? "", from: { name: "Cy" }, to: { name: "Aaron" } },
      { id: ids[2] ?? "", from: {}, to: null },
    ]);
    const known = await directory();
    await keepPhoneForm(known.form);
    expect(await directory()).not.toBe(known);
    expect(await directory()).toEqual(known);
  });

  it("refuses one person twice, and what it does not know", async () => {
    const { ids } = await changePeople([adding("Ada")]);
    const [id = ""] = ids;
    const change = { id, from: { name: "Ada" }, to: { name: "Bo" } };
    await expect(changePeople([change, change])).rejects.toThrow("One person is changed twice.");
    await expect(takeBackChange("none")).rejects.toThrow("There is no such change any more.");
  });
});

describe("what people have in a field", () => {
  it("is told once each, what most have first, and nothing of pictures", async () => {
    await changePeople([
      adding("Ada", { department: "Press" }),
      adding("Bo", { department: " Learning " }),
      adding("Cy", { department: "Learning", "text:Room": "7b" }),
      adding("Di"),
    ]);
    expect(await detailsIn("department")).toEqual(["Learning", "Press"]);
    expect(await detailsIn("text:Room")).toEqual(["7b"]);
    expect(await detailsIn("text:Floor")).toEqual([]);
    expect(await detailsIn("portrait")).toEqual([]);
  });

  it("is told of a hundred at most", async () => {
    await changePeople(
      Array.from({ length: 120 }, (_unused, index) => adding(`P${index}`, { title: `Title ${index}` })),
    );
    const titles = await detailsIn("title");
    expect(titles).toHaveLength(100);
    expect(titles.slice(0, 3)).toEqual(["Title 0", "Title 1", "Title 2"]);
  });
});

describe("looking for people", () => {
  beforeEach(() =>
    changePeople([
      adding("Ada Quill", { title: "Head of Germination", department: "Germination Lab", "text:Room": "12" }),
      adding("Séverine Bo", { title: "Keeper 10", department: "Cold Store" }),
      adding("Bo Lind", { title: "Keeper 9" }),
    ]),
  );
  const names = async (
    ...[look = "", department = null, order = "name"]: [string?, (string | null)?, string?]
  ) => (await lookForPeople({ look, department, order })).map(({ person }) => person.name);

  it("finds words of any field, without accents, in a department and in an order", async () => {
    expect(await names("severine")).toEqual(["Séverine Bo"]);
    expect(await names("12")).toEqual(["Ada Quill"]);
    expect(await names("keeper", "")).toEqual(["Bo Lind"]);
    expect(await names("", null, "-name")).toEqual(["Séverine Bo", "Bo Lind", "Ada Quill"]);
    expect(await names("keeper", null, "title")).toEqual(["Bo Lind", "Séverine Bo"]);
    expect(await names("", null, "text:Room")).toEqual(["Ada Quill", "Bo Lind", "Séverine Bo"]);
    expect((await findInDirectory({ look: "zz", department: null, order: "" })).departments).toEqual([
      { name: "", people: 1 },
      { name: "Cold Store", people: 1 },
      { name: "Germination Lab", people: 1 },
    ]);
  });

  it("offers those first whose names begin with the letters, then those whom title or department mean", async () => {
    const chosen = async (look: string) => (await choosePeople(look, 50)).map(({ name }) => name);
    expect(await chosen("bo")).toEqual(["Bo Lind", "Séverine Bo"]);
    expect(await chosen("germ")).toEqual(["Ada Quill"]);
    expect(await chosen("")).toHaveLength(3);
    expect(await choosePeople("", 1)).toHaveLength(1);
  });

  it("is written as a table and as cards, as it is found", async () => {
    await addOwnField("text", "Room");
    const table = await exportPeople("table", { look: "keeper", department: null, order: "-name" });
    const { header, rows } = readSheet(table.text);
    expect(rows.map(({ cells }) => cells[0])).toEqual(["Séverine Bo", "Bo Lind"]);
    expect(header.at(-1)).toBe("Room");
    const cards = await exportPeople("cards", { look: "quill", department: null, order: "name" });
    expect(readCards(cards.text).listed.map(({ details }) => details["text:Room"])).toEqual(["12"]);
    await removeOwnField("text:Room");
  });
});

describe("fields of the user's own", () => {
  it("are added once, and leave what is in them when they go", async () => {
    const { ids } = await changePeople([adding("Ada", { "date:Since": "2020-01-01" })]);
    expect(await addOwnField("date", " Since ")).toEqual(["date:Since"]);
    await expect(addOwnField("text", "since")).rejects.toThrow("There is a field “since” already.");
    await expect(addOwnField("text", "Mail")).rejects.toThrow("There is a field “Mail” already.");
    expect(await removeOwnField("date:Since")).toEqual([]);
    expect((await findPerson(ids[0] ?? ""))?.person["date:Since"]).toBe("2020-01-01");
    expect(await listOwnFields()).toEqual([]);
  });

  it("columns of lists are remembered, the newest choice for each", async () => {
    await keepChosenColumns([{ key: "who", target: "name" }]);
    await keepChosenColumns([
      { key: "who", target: null },
      { key: "vorname", target: "given name" },
    ]);
    expect(await findChosenColumns()).toEqual([
      { key: "who", target: null },
      { key: "vorname", target: "given name" },
    ]);
  });
});

describe("phone numbers", () => {
  it("are written for everybody as the organisation says, and stay as they were typed", async () => {
    await changePeople([adding("Ada", { phone: "+44 1632 960100" })]);
    await expect(keepPhoneForm({ style: "national", extension: true, callingCode: "" })).rejects.toThrow(
      "Say which country’s numbers are written without their code",
    );
    await keepPhoneForm({ style: "national", extension: true, callingCode: "44" });
    const [shown] = await listPeople();
    expect(shown?.person).toMatchObject({ phone: "01632 960100", callingCode: "44" });
    expect((await everybody())[0]?.person.phone).toBe("+44 1632 960100");
    await keepPhoneForm({ style: "typed", extension: true, callingCode: "" });
    expect((await listPeople())[0]?.person.phone).toBe("+44 1632 960100");
    expect(await findPhoneForm()).toEqual({ style: "typed", extension: true, callingCode: "" });
  });

  it("of whom the demo adds are not added twice", async () => {
    await addPerson("once", { ...emptyPerson, name: "Once" });
    await addPerson("once", { ...emptyPerson, name: "Twice" });
    expect((await findPerson("once"))?.person.name).toBe("Once");
  });
});
