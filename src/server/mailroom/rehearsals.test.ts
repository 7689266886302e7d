import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { blankSignature } from "@/core/signature";
import { addPerson } from "../people/change-people";
import { addSignature } from "../signatures/signatures";
import { keepDesk } from "./desk";
import { linkFollowed, listLetters, openLetter } from "./letters";
import { downloadKit } from "../install/download-kit";
import { beginRehearsal, endRehearsal, mailKit, rehearsalAt, tellCopied, tellRehearsal } from "./rehearsals";
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

/** What is done of what the steps ask for, in order. */
const done = async (client = "malthouse"): Promise<readonly string[]> =>
  ((await rehearsalAt("ada", client))?.steps ?? [])
    .flatMap(({ tasks }) => tasks)
    .filter((task) => task.done)
    .map(({ happening }) => happening);

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
    expect(await done()).toEqual([]);
    await tellCopied(signature);
    expect(await done()).toEqual(["copied"]);
    await tellRehearsal("ada", "malthouse", "pasted");
    await tellRehearsal("ada", "malthouse", "pasted");
    await keepDesk("ada", "malthouse", settings(false));
    expect(await done()).toEqual(["copied", "pasted", "kept"]);

    // A letter without a signature is no letter with one.
    const to = "zoe@harrowfen.example";
    await sendLetter("ada", "malthouse", await beginLetter("ada", "malthouse", { to }));
    expect(await done()).not.toContain("sent");
    await keepDesk("ada", "malthouse", settings(true));
    await sendLetter("ada", "malthouse", await beginLetter("ada", "malthouse", { to }));
    expect(await done()).toEqual(["copied", "pasted", "kept", "chosen", "sent"]);

    const [letter] = (await listLetters("zoe")).letters;
    await openLetter("zoe", letter?.id ?? "");
    await linkFollowed("zoe", letter?.id ?? "");
    expect(await done()).toEqual(["copied", "pasted", "kept", "chosen", "sent", "read", "followed"]);

    await beginRehearsal("ada", "malthouse", signature);
    expect(await done()).toEqual([]);
    await endRehearsal("ada", "malthouse");
    expect(await rehearsalAt("ada", "malthouse")).toBeNull();
  });

  it("is told of kits that are downloaded, for clients of their kind", async () => {
    await beginRehearsal("ada", "granary", signature);
    await downloadKit(signature, "desktop-open");
    expect(await done("granary")).toEqual([]);
    await downloadKit(signature, "desktop-document");
    expect(await done("granary")).toEqual(["downloaded"]);
    await endRehearsal("ada", "granary");
  });

  it("on the phone begins with a letter to oneself: the kit’s, or one from another client", async () => {
    await beginRehearsal("ada", "wren", signature);
    await mailKit("ada", signature);
    expect(await done("wren")).toEqual(["delivered"]);
    const [letter] = (await listLetters("ada")).letters;
    expect(letter).toMatchObject({ subject: "Signature: Full", from: { name: "Ada Quill" } });
    await openLetter("ada", letter?.id ?? "");
    expect(await done("wren")).toEqual(["delivered", "opened"]);

    await beginRehearsal("ada", "wren", signature);
    await sendLetter(
      "ada",
      "malthouse",
      await beginLetter("ada", "malthouse", { to: "ada@harrowfen.example" }),
    );
    expect(await done("wren")).toEqual(["delivered"]);
    await endRehearsal("ada", "wren");
  });

  it("needs a signature, a desk and a client that are there", async () => {
    await expect(beginRehearsal("ada", "malthouse", "none")).rejects.toThrow("There is no such signature");
    await expect(beginRehearsal("ada", "elsewhere", signature)).rejects.toThrow("There is no such client");
    await expect(mailKit("ada", "none")).rejects.toThrow("There is no such signature");
    await expect(tellCopied("none")).rejects.toThrow("There is no such signature");
    await expect(rehearsalAt("nobody", "wren")).rejects.toThrow("There is no such mailbox");
  });
});
