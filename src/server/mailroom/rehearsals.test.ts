import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { blankSignature } from "@/core/signature";
import { addPerson } from "../people/people";
import { addSignature } from "../signatures/signatures";
import { keepDesk } from "./desk";
import { linkFollowed, listLetters, openLetter } from "./letters";
import { beginRehearsal, endRehearsal, rehearsalAt, tellRehearsal } from "./rehearsals";
import { beginLetter } from "./begin-letter";
import { sendLetter } from "./send-letter";

let folder: string;
let signature: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", { ...emptyPerson, name: "Ada Quill", mail: "Ada@harrowfen.example" });
  await addPerson("zoe", { ...emptyPerson, name: "Zoë Ngata", mail: "zoe@harrowfen.example" });
  signature = await addSignature({
    name: "Full",
    personId: "ada",
    document: blankSignature(1, 1).toJSON() as unknown,
  });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const done = async (): Promise<readonly boolean[]> =>
  ((await rehearsalAt("ada", "malthouse"))?.steps ?? []).map((step) => step.done);

const settings = (chosen: boolean) => ({
  signatures: [{ id: "one", name: "Full", html: "<p>Ada</p>" }],
  choices: [
    {
      address: "ada@harrowfen.example",
      underNew: chosen ? "one" : null,
      underAnswers: null,
      place: "above" as const,
      delimiter: false,
    },
  ],
});

describe("a rehearsal at a desk", () => {
  it("is ticked where it happens, by what truly happened, and begins anew", async () => {
    expect(await rehearsalAt("ada", "malthouse")).toBeNull();
    // Told of nothing, while none goes on.
    await tellRehearsal("ada", "malthouse", "pasted");
    await beginRehearsal("ada", "malthouse", signature);
    expect(await done()).toEqual([false, false, false, false, false, false]);
    await tellRehearsal("ada", "malthouse", "pasted");
    await tellRehearsal("ada", "malthouse", "pasted");
    await keepDesk("ada", "malthouse", settings(false));
    expect(await done()).toEqual([true, true, false, false, false, false]);

    // A letter without a signature is no letter with one.
    const to = "zoe@harrowfen.example";
    await sendLetter("ada", "malthouse", await beginLetter("ada", "malthouse", { to }));
    expect((await done())[3]).toBe(false);
    await keepDesk("ada", "malthouse", settings(true));
    await sendLetter("ada", "malthouse", await beginLetter("ada", "malthouse", { to }));
    expect(await done()).toEqual([true, true, true, true, false, false]);

    const [letter] = (await listLetters("zoe")).letters;
    await openLetter("zoe", letter?.id ?? "");
    await linkFollowed("zoe", letter?.id ?? "");
    expect(await done()).toEqual([true, true, true, true, true, true]);

    await beginRehearsal("ada", "malthouse", signature);
    expect(await done()).toEqual([false, false, false, false, false, false]);
    await endRehearsal("ada", "malthouse");
    expect(await rehearsalAt("ada", "malthouse")).toBeNull();
  });

  it("needs a signature, a desk and a client that are there", async () => {
    await expect(beginRehearsal("ada", "malthouse", "none")).rejects.toThrow("There is no such signature");
    await expect(beginRehearsal("ada", "elsewhere", signature)).rejects.toThrow("There is no such client");
    await expect(rehearsalAt("nobody", "wren")).rejects.toThrow("There is no such mailbox");
  });
});
