import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { checkSignature } from "@/core/checks";
import { blankSignature, starterPatterns } from "@/core/signature";
import { addPerson, changePeople } from "../people/change-people";
import { findDetails } from "../people/people";
import {
  deleteSignature,
  describeSignature,
  findSignature,
  saveDocument,
  startSignature,
} from "../signatures/signatures";
import {
  compareInstall,
  installsOf,
  listInstalls,
  recordInstall,
  removeInstall,
  renewInstall,
  restoreInstall,
  tickInstall,
  type NewInstall,
} from "./installs";

let folder: string;
let signature: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", {
    ...emptyPerson,
    name: "Ada Quill",
    title: "Curator",
    mail: "ada@harrowfen.example",
  });
  const pattern = starterPatterns.find(({ document }) =>
    JSON.stringify(document.toJSON()).includes('"title"'),
  );
  if (!pattern) throw new Error("no pattern has a title");
  signature = await startSignature(pattern.document.toJSON(), "Installed");
  await describeSignature(signature, { personId: "ada" });
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const said: Omit<NewInstall, "revision"> = {
  form: "full",
  kind: "webmail",
  account: "ada@harrowfen.example",
  use: "both",
  by: "Ada",
  note: "",
};
const setTitle = async (title: string): Promise<void> => {
  const person = await findDetails("ada");
  await changePeople([{ id: "ada", from: { title: person?.title ?? "" }, to: { title } }]);
};

describe("installs", () => {
  it("are up to date until a detail changes, and again when they are renewed", async () => {
    const { id } = await recordInstall(signature, { ...said, revision: 1 });
    expect(await listInstalls()).toMatchObject([
      { id, ...said, revision: 1, personName: "Ada Quill", signatureName: "Installed", changes: null },
    ]);
    await setTitle("Head of Cold Store");
    const [late] = await listInstalls();
    expect(late?.changes).toEqual(["Title is “Head of Cold Store” now, no longer “Curator”."]);
    const compared = await compareInstall(id);
    expect([compared.before.includes("Curator"), compared.after.includes("Curator")]).toEqual([true, false]);
    // Two that come together are both kept.
    await Promise.all(["a", "b", "c"].map((says) => tickInstall(id, { says, seen: true })));
    await tickInstall(id, { says: "b", seen: false });
    expect([...((await listInstalls())[0]?.ticked ?? [])].sort()).toEqual(["a", "c"]);
    await renewInstall(id, 1);
    expect((await listInstalls())[0]).toMatchObject({ changes: null, ticked: [] });
  });

  it("are told what changed in the signature since", async () => {
    const { document } = await findSignature(signature);
    const [{ id } = { id: "" }] = await listInstalls();
    const changed = JSON.parse(JSON.stringify(document)) as { attrs: { textColor: string } };
    changed.attrs.textColor = "#123456";
    await saveDocument(signature, changed, 1);
    expect((await compareInstall(id)).changes?.join()).toContain("#123456");
    await expect(renewInstall(id, 1)).rejects.toMatchObject({ status: 409 });
    await expect(recordInstall(signature, { ...said, revision: 1 })).rejects.toThrow("was changed since");
    await renewInstall(id, 2);
    expect((await compareInstall(id)).changes).toBeNull();
  });

  it("follow whose they are, whomever the signature is drawn for now", async () => {
    await addPerson("jo", {
      ...emptyPerson,
      name: "Jo Li",
      title: "Press officer",
      mail: "jo@harrowfen.example",
    });
    await describeSignature(signature, { personId: "jo" });
    const [{ id } = { id: "" }] = await listInstalls();
    expect(await compareInstall(id)).toMatchObject({ personName: "Ada Quill", changes: null });
    await changePeople([{ id: "ada", from: {}, to: null }]);
    expect(await compareInstall(id)).toMatchObject({ personName: "Ada Quill", changes: null });
  });

  it("say what there is to look at for whose they are, and what was found only for whom it is drawn for", async () => {
    const found = checkSignature(blankSignature(1, 1), { person: null, base: "http://127.0.0.1" });
    const severity = "attention" as const;
    const findings = found.map((finding) => ({ ...finding, severity, message: "It is wide." }));
    const says = async (personId: string | null): Promise<string> => {
      const [first] = await installsOf({ id: signature, personId }, findings);
      return (first?.toLookAt ?? []).map((each) => each.says).join("\n");
    };
    expect(found.length).toBeGreaterThan(0);
    expect(await says("jo")).toContain("ada@harrowfen.example");
    expect(await says("jo")).not.toContain("It is wide.");
    // Who is not in the directory any more is nobody.
    expect(await says(null)).toContain("It is wide.");
  });

  it("are removed, taken back, and gone with a deleted signature", async () => {
    const [{ id } = { id: "" }] = await listInstalls();
    await removeInstall(id);
    expect(await listInstalls()).toEqual([]);
    await expect(compareInstall(id)).rejects.toMatchObject({ status: 404 });
    await restoreInstall(id);
    expect(await listInstalls()).toHaveLength(1);
    await deleteSignature(signature);
    expect(await listInstalls()).toEqual([]);
    await expect(compareInstall(id)).rejects.toMatchObject({ status: 404 });
    await expect(removeInstall("none")).rejects.toMatchObject({ status: 404 });
  });
});
