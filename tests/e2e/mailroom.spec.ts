/** The Mailroom's clients: a signature is installed in each by the steps that are printed, written under letters, answered and read. */
import { mkdir, mkdtemp, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import type { Locator, Page } from "@playwright/test";
import { unzipSync } from "fflate";
import { addressOf, deskPath, endpoints } from "@/contract";
import type { DeskClientId } from "@/core/desks";
import { installSteps, type KitKind } from "@/core/install-kinds";
import { choose, shelfOf, tabTo } from "./bench";
import { expect, test } from "./test";

async function signatureId(page: Page, name: string): Promise<string> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).first().getAttribute("href");
  return href?.split("/")[2] ?? "";
}

/** The files of a signature's kit for a kind: one file, or a zip of several. */
async function kit(page: Page, signature: string, kind: KitKind): Promise<{ name: string; buffer: Buffer }> {
  const answer = await page.request.get(addressOf(endpoints.downloadKit, { id: signature, kind }));
  const name = /filename="([^"]+)"/.exec(answer.headers()["content-disposition"] ?? "")?.[1] ?? "kit";
  return { name, buffer: await answer.body() };
}

/** Drops a folder that holds what a zip holds, as a file manager hands one over. */
async function dropFolder(page: Page, target: Locator, zip: Buffer): Promise<void> {
  const outside = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  const folder = path.join(outside, "Unpacked");
  for (const [name, bytes] of Object.entries(unzipSync(new Uint8Array(zip)))) {
    await mkdir(path.dirname(path.join(folder, name)), { recursive: true });
    if (!name.endsWith("/")) await writeFile(path.join(folder, name), bytes);
  }
  const box = await target.boundingBox();
  const session = await page.context().newCDPSession(page);
  const drag = (type: "dragEnter" | "dragOver" | "drop"): Promise<unknown> =>
    session.send("Input.dispatchDragEvent", {
      type,
      x: (box?.x ?? 0) + 10,
      y: (box?.y ?? 0) + 10,
      data: { items: [], files: [folder], dragOperationsMask: 1 },
    });
  for (const type of ["dragEnter", "dragOver", "drop"] as const) await drag(type);
}

const atDesk = (page: Page, person: string, client: DeskClientId, place: "" | "write" | "settings" = "") =>
  page.goto(deskPath(person, client, place));

/** What a letter that is open shows; of those of a talk that stand on one page, which one. */
const shown = (page: Page, index = 0): Locator =>
  page.locator("iframe[title='The letter']").nth(index).contentFrame().locator("body");

/** Types into the first line of what is written, above everything else in it. */
async function typeFirst(box: Locator, words: string): Promise<void> {
  await box.locator("div").first().click();
  await box.press("Control+Home");
  await box.pressSequentially(words);
}

/** Waits for the letter of a subject in a list, as often as it is asked for. */
async function openNewest(page: Page, person: string, client: DeskClientId, subject: string): Promise<void> {
  await atDesk(page, person, client);
  await page.getByRole("link", { name: subject }).first().click();
  await expect(page.getByRole("heading", { name: subject, exact: true })).toBeVisible();
}

test("webmail: pasted, kept and chosen; another one while writing; what is not kept is lost, with a word", async ({
  page,
}) => {
  const id = await signatureId(page, "Full");
  await page.goto(`/signatures/${id}/install`);
  await page.getByRole("button", { name: "Copy the signature" }).click();
  await page.getByRole("button", { name: "Rehearse it in the Mailroom" }).click();
  const rehearsal = page.getByRole("region", { name: "Rehearsal" });
  await expect(rehearsal).toContainText("0 of 7 done");

  const box = page.getByRole("textbox", { name: "What goes under your letters" });
  await box.click();
  await page.keyboard.press("Control+V");
  await expect(box).toContainText("Tamsin Okafor");
  await page.getByRole("textbox", { name: "Its name" }).fill("Full");
  await page.getByRole("button", { name: "Another one" }).click();
  await page.getByRole("textbox", { name: "Its name" }).fill("Short");
  await page.getByRole("textbox", { name: "What goes under your letters" }).click();
  await page.keyboard.type("T. Okafor");
  await choose(page.getByRole("combobox", { name: "Signature under answers" }).first(), "Short");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("status").first()).toHaveText(
    "Kept. “Full” goes under every new letter, and “Short” under answers.",
  );

  await expect(rehearsal).toContainText("4 of 7 done");

  // Left without being kept, a change is lost, and that is said.
  await page.getByRole("button", { name: "Take it out" }).click();
  await expect(page.getByRole("status").first()).toHaveText("Not kept yet.");
  await page.getByRole("link", { name: "New letter" }).click();
  await expect(page.locator(".desk-lost")).toHaveText(
    "You left Preferences without keeping what you changed there: it is as it was before.",
  );

  // Another signature takes the place of the one that is there, and of nothing else.
  const letter = page.getByRole("textbox", { name: "The letter" });
  await expect(letter).toContainText("Head of Germination");
  await typeFirst(letter, "It came up.");
  await choose(page.getByRole("combobox", { name: "Signature under it" }), "Short");
  await expect(letter).toContainText("It came up.");
  await expect(letter).toContainText("T. Okafor");
  await expect(letter).not.toContainText("Head of Germination");
  await choose(page.getByRole("combobox", { name: "Signature under it" }), "no signature");
  await expect(letter).toHaveText("It came up.");
  await expect(page.getByText("What you wrote is kept as begun.")).toBeVisible();
  await page.getByRole("link", { name: "Letters", exact: true }).click();
  await page.getByRole("link", { name: /begun, not sent/ }).click();
  await expect(page.getByRole("textbox", { name: "The letter" })).toHaveText("It came up.");

  // What was begun is thrown away, and taken back.
  await page.getByRole("button", { name: "Throw it away" }).click();
  await expect(page.getByRole("link", { name: /begun, not sent/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Take it back" }).click();
  await page.getByRole("link", { name: /begun, not sent/ }).click();
  await expect(page.getByRole("textbox", { name: "The letter" })).toHaveText("It came up.");
});

test("a rehearsal says what was forgotten, is ticked by what happened, and is recorded", async ({
  page,
  context,
}) => {
  const id = await signatureId(page, "Full");
  await page.goto(`/signatures/${id}/install`);
  await page.getByRole("radio", { name: "Desktop, document engine" }).click();
  await page.getByRole("button", { name: "Rehearse it in the Mailroom" }).click();
  const rehearsal = page.getByRole("region", { name: "Rehearsal" });
  for (const printed of installSteps["desktop-document"]) await expect(rehearsal).toContainText(printed);
  await choose(page.getByRole("combobox", { name: "Place the kit of" }), "Full");
  await expect(rehearsal).toContainText("2 of 6 done");
  // Written with it by hand, while it is chosen for no new letters.
  await page.getByRole("link", { name: "Fresh leaf" }).click();
  await choose(page.getByRole("combobox", { name: "Written to" }), "Ada Quill (ada@harrowfen.example)");
  await page.getByRole("textbox", { name: "Matter" }).fill("Rehearsed");
  await choose(page.getByRole("combobox", { name: "Closes with" }), "full");
  await page.getByRole("button", { name: "Send the leaf" }).click();
  await expect(rehearsal).toContainText(
    "It is there, and chosen for no new letters: they go out without it.",
  );
  await page.getByRole("link", { name: "Drawer" }).click();
  await expect(page.locator(".granary iframe").contentFrame().locator("body")).toContainText("Tamsin Okafor");
  await choose(page.getByRole("combobox", { name: /^Fresh leaves of tamsin/ }), "full");
  await expect(rehearsal).toContainText("4 of 6 done");

  const other = await context.newPage();
  await openNewest(other, "ada-quill", "wren", "Rehearsed");
  await expect(rehearsal).toContainText("5 of 6 done");
  const opened = context.waitForEvent("page");
  await shown(other).locator("a[href*='mailroom%2Fweb']").first().click();
  await expect((await opened).getByText("The link works. It leads to")).toBeVisible();
  await rehearsal.getByRole("button", { name: "Record it as installed" }).click();
  await expect(rehearsal).toHaveCount(0);
  await page.goto(`/signatures/${id}/install`);
  await expect(page.getByText("Rehearsed in the Mailroom’s Granary.").first()).toBeVisible();
});

test("files and archives: a kit in the folder, a file put in too early and lost, then in time; answered twice and handed on to a phone", async ({
  page,
}) => {
  const id = await signatureId(page, "Full");

  // The folder complains about what is not beside the page, and holds the whole kit once it is unpacked there.
  await atDesk(page, "ifor-pell", "granary", "settings");
  const put = page.locator("input[type=file]").first();
  await put.setInputFiles({
    name: "Draft.htm",
    mimeType: "text/html",
    buffer: Buffer.from('<p>Grüße</p><img src="Draft%20pictures/logo.png" width="10" height="10" alt="">'),
  });
  await expect(page.getByText(/does not say in which encoding it is/)).toBeVisible();
  await expect(
    page.getByText(/has pictures in the folder “Draft pictures”, which is not here/),
  ).toBeVisible();
  await page.getByRole("button", { name: "Take out" }).click();
  await page.getByRole("button", { name: "Leave it" }).click();
  await page.getByRole("button", { name: "Take out" }).click();
  await page.getByRole("button", { name: "Take it out" }).click();
  await expect(page.getByText("The drawer is empty.")).toBeVisible();
  const zip = await kit(page, id, "desktop-document");
  expect(zip.name).toMatch(/\.zip$/);
  await dropFolder(page, page.getByRole("heading", { name: "The drawer" }), zip.buffer);
  await expect(page.getByText("7 pictures beside it")).toBeVisible();
  await page.getByRole("button", { name: "Take out" }).click();
  await page.getByRole("button", { name: "Take it out" }).click();
  await expect(page.getByText("The drawer is empty.")).toBeVisible();
  await put.setInputFiles({ ...zip, mimeType: "application/zip" });
  await expect(page.getByText("7 pictures beside it")).toBeVisible();
  await choose(page.getByRole("combobox", { name: /^Leaves in return of ifor/ }), "full");

  // Tamsin’s program is open when the file is replaced: it writes over it.
  await atDesk(page, "tamsin-okafor", "sluice", "settings");
  await page.getByRole("textbox", { name: "Name of a new mark" }).fill("Full");
  await page.getByRole("button", { name: "Make an empty one" }).click();
  const archive = await kit(page, id, "desktop-browser");
  const replace = page.getByLabel("Put a file in place of Full");
  await replace.setInputFiles({ ...archive, mimeType: "application/x-webarchive" });
  await expect(page.getByRole("status")).toContainText("lies in place of");
  await page.getByRole("button", { name: "Shut the book" }).click();
  await expect(page.locator(".sluice [role=alert]")).toContainText(
    "it wrote “Full” as it had read it on opening",
  );
  // Put there while it is shut, it is read when it is opened.
  await replace.setInputFiles({ ...archive, mimeType: "application/x-webarchive" });
  await expect(page.getByRole("status")).toContainText("lies in place of");
  await page.getByRole("button", { name: "Open the book" }).click();
  await atDesk(page, "tamsin-okafor", "sluice", "settings");
  await choose(page.getByRole("combobox", { name: "on new sheets" }).first(), "Full");
  await expect(page.getByRole("combobox", { name: "on new sheets" }).first()).toHaveText("Full");

  // A letter with attached pictures, answered by the file client, answered again, and handed on.
  await atDesk(page, "tamsin-okafor", "sluice", "write");
  await choose(page.getByRole("combobox", { name: "Dear" }), "Ifor Pell (ifor@harrowfen.example)");
  await page.getByLabel("concerning").fill("Barley");
  await typeFirst(page.getByRole("textbox", { name: "The sheet" }), "Dear Ifor,");
  await page.keyboard.press("Shift+Home");
  await page.getByRole("button", { name: "bold", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "The sheet" }).locator("b").first()).toHaveText(
    "Dear Ifor,",
  );
  await page.getByRole("button", { name: "Let it go" }).click();
  await expect(page.getByText("The sheet is on its way.")).toBeVisible();

  await openNewest(page, "ifor-pell", "granary", "Barley");
  await expect(shown(page).locator("b").first()).toHaveText("Dear Ifor,");
  await expect(shown(page).locator("img")).toHaveCount(7);
  await page.getByRole("link", { name: "Write back", exact: true }).click();
  const leaf = page.getByRole("textbox", { name: "The leaf" });
  await expect(leaf.locator("[data-own-signature] img")).toHaveCount(7);
  await expect(leaf.locator("[data-own-quote] img")).toHaveCount(7);
  await typeFirst(leaf, "Eleven days early.");
  await page.getByRole("button", { name: "Send the leaf" }).click();
  await expect(page.getByText("The leaf went out.")).toBeVisible();

  await openNewest(page, "tamsin-okafor", "malthouse", "Re: Barley");
  await page.getByRole("link", { name: "Answer", exact: true }).click();
  await typeFirst(page.getByRole("textbox", { name: "The letter" }), "Thank you.");
  await page.getByRole("button", { name: "Hand it over" }).click();
  await expect(page.getByText("Your letter is with Ifor Pell.")).toBeVisible();

  await openNewest(page, "ifor-pell", "granary", "Re: Barley");
  await expect(page.getByRole("navigation", { name: "Letters of this talk" }).getByRole("link")).toHaveCount(
    3,
  );
  await expect(page.getByText("Of the signature in the first one are left here: all words")).toBeVisible();
  await page.getByRole("button", { name: "the whole talk on one page" }).click();
  await expect(page.locator("iframe[title='The letter']")).toHaveCount(3);
  await expect(shown(page, 0)).toContainText("Dear Ifor,");
  await expect(shown(page, 0)).not.toContainText("Thank you.");
  await expect(shown(page, 2)).toContainText("Thank you.");
  await page.getByRole("button", { name: "this letter only" }).click();
  await expect(page.locator("iframe[title='The letter']")).toHaveCount(1);
  await page.getByText("Its links and pictures, as they arrived").click();
  await page.getByRole("button", { name: "Walk them" }).click();
  await expect(page.getByText("Answers", { exact: true }).first()).toBeVisible();
  await page.getByRole("link", { name: "Pass on" }).click();
  await choose(page.getByRole("combobox", { name: "Written to" }), "Ada Quill (ada@harrowfen.example)");
  await page.getByRole("button", { name: "Send the leaf" }).click();
  await expect(page.getByText("The leaf went out.")).toBeVisible();

  // Three signatures by now: the writer’s, the answer’s, and that of who handed it on.
  // On the phone, in the dark, with pictures blocked and shown: what is attached is never blocked.
  await openNewest(page, "ada-quill", "wren", "Fwd: Re: Barley");
  const pictures = shown(page).locator("img");
  await expect(pictures).toHaveCount(21);
  for (const width of await pictures.evaluateAll((all) =>
    Promise.all(
      all.map((each) =>
        (each as HTMLImageElement).decode().then(() => (each as HTMLImageElement).naturalWidth),
      ),
    ),
  ))
    expect(width).toBeGreaterThan(0);
  await page.getByRole("checkbox", { name: "in the dark" }).check();
  await expect(shown(page)).toHaveCSS("color", "rgb(242, 242, 240)");
  await choose(page.getByRole("combobox", { name: "Pictures" }), "pictures blocked");
  await expect(pictures).toHaveCount(21);
});

test("by words alone: a file is attached at the typewriter, kept, written under a letter, and its link followed", async ({
  page,
  context,
}) => {
  const id = await signatureId(page, "Full");
  const type = async (words: string): Promise<void> => {
    const bar = page.getByRole("textbox", { name: "Type a word" });
    await bar.fill(words);
    await bar.press("Enter");
  };
  await atDesk(page, "bram-uzel", "oxbow");
  await type("fly");
  await expect(page.getByRole("status")).toContainText("There is no word “fly” here.");
  await type("signatures");
  await expect(page.getByRole("heading", { name: "Signatures" })).toBeVisible();
  await type("make Full");
  const file = await kit(page, id, "desktop-open");
  await page.getByLabel("A file with the signature in it").setInputFiles({ ...file, mimeType: "text/html" });
  await expect(page.getByRole("textbox", { name: "the source of “Full”" })).toHaveValue(/data:image\/png/);
  await type("keep");
  await expect(page.getByRole("status")).toHaveText("Kept.");
  await type("new");
  await page.getByLabel("to", { exact: true }).fill("ada@harrowfen.example");
  await page.getByLabel("subject").fill("From the typewriter");
  await expect(page.getByRole("textbox", { name: "The letter" }).locator("img")).toHaveCount(7);
  await type("send");
  await expect(page.getByRole("heading", { name: "Sent" })).toBeVisible();

  await openNewest(page, "ada-quill", "malthouse", "From the typewriter");
  await expect(page.getByRole("list", { name: "Files that came with it" }).getByRole("listitem")).toHaveCount(
    7,
  );
  const opened = context.waitForEvent("page");
  await shown(page).locator("a[href*='mailroom%2Fweb']").first().click();
  await expect((await opened).getByText("The link works. It leads to")).toBeVisible();
});

test("the phone: rehearsed by its steps, copied out of a letter to oneself, and followed; without pictures, words alone", async ({
  page,
  context,
}) => {
  const id = await signatureId(page, "Full");
  await page.goto(`/signatures/${id}/install?kind=phone`);
  await choose(page.getByRole("combobox", { name: "At whose desk" }), "Ada Quill");
  await page.getByRole("button", { name: "Rehearse it in the Mailroom" }).click();
  const rehearsal = page.getByRole("region", { name: "Rehearsal" });
  await expect(rehearsal).toContainText("0 of 8 done");
  await page.getByRole("button", { name: "Put the letter into Ada Quill’s mailbox" }).click();
  await expect(rehearsal).toContainText("1 of 8 done");
  await page.getByRole("link", { name: "Cards" }).click();
  await page.getByRole("link", { name: "Signature: Full" }).click();
  await expect(shown(page)).toContainText("Ada Quill");
  await expect(rehearsal).toContainText("2 of 8 done");
  await shown(page).click({ position: { x: 5, y: 5 } });
  await page.keyboard.press("Control+A");
  await page.keyboard.press("Control+C");

  await page.getByRole("link", { name: "Ending" }).click();
  await page.getByRole("button", { name: "one more" }).click();
  const box = page.getByRole("textbox", { name: "The ending" });
  await box.click();
  await page.keyboard.press("Control+V");
  await expect(page.getByRole("status")).toHaveText("It holds.");
  await expect(rehearsal).toContainText("5 of 8 done");
  await page.reload();
  await expect(box.locator("img")).toHaveCount(7);

  // Written to herself, with it under the letter.
  await page.getByRole("link", { name: "Write" }).click();
  await choose(page.getByRole("combobox", { name: "To" }), "Ada Quill (ada@harrowfen.example)");
  await page.getByRole("textbox", { name: "Subject" }).fill("From the phone");
  await page.getByRole("button", { name: "Send it off" }).click();
  await openNewest(page, "ada-quill", "wren", "From the phone");
  await expect(shown(page).locator("img")).toHaveCount(7);
  const opened = context.waitForEvent("page");
  await shown(page).locator("a[href*='mailroom%2Fweb']").first().click();
  await expect((await opened).getByText("The link works. It leads to")).toBeVisible();
  await page.getByRole("button", { name: "Record it as installed" }).click();
  await expect(rehearsal).toHaveCount(0);

  await page.getByRole("link", { name: "Ending" }).click();
  await page.getByRole("button", { name: "words only" }).click();
  await expect(box.locator("img")).toHaveCount(0);
  await expect(box).toContainText("Ada Quill");
  await page.getByRole("link", { name: "Write" }).click();
  await expect(page.getByRole("textbox", { name: "Letter" })).toContainText("Ada Quill");
});

test("two windows: what one desk sends appears at the other by itself, is thrown away and taken back", async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await atDesk(other, "layla-mansour", "malthouse");
  const sent = {
    from: "ada@harrowfen.example",
    to: ["layla@harrowfen.example"],
    cc: [],
    about: null,
    draft: null,
  };
  await page.request.post(addressOf(endpoints.sendLetter, { person: "ada-quill", client: "malthouse" }), {
    data: { ...sent, subject: "By itself", html: "<div>Hello</div>" },
  });
  await other.getByRole("link", { name: "By itself" }).click();
  await other.getByRole("button", { name: "Throw it away" }).click();
  await expect(other.getByRole("link", { name: "By itself" })).toHaveCount(0);
  await other.getByRole("button", { name: "Take it back" }).click();
  await expect(other.getByRole("link", { name: "By itself" })).toBeVisible();
});

test("without a mouse: a kit is placed, chosen, written under a letter, sent, opened and answered", async ({
  page,
}) => {
  const pick = async (field: string | RegExp, words: string): Promise<void> => {
    await tabTo(page, field);
    await page.keyboard.press("Enter");
    const list = page.getByRole("listbox");
    await expect(list).toBeVisible();
    await page.keyboard.type(words);
    await expect(list.locator("[data-highlighted]")).toHaveText(new RegExp(`^${words}`));
    await page.keyboard.press("Enter");
    await expect(list).toBeHidden();
  };
  const press = async (name: string | RegExp): Promise<void> => {
    await tabTo(page, name);
    await page.keyboard.press("Enter");
  };
  await atDesk(page, "otto-lind", "granary", "settings");
  await pick("Place the kit of", "Full");
  await expect(page.getByText("7 pictures beside it")).toBeVisible();
  await pick(/^Fresh leaves of otto@/, "full");
  await expect(page.getByRole("combobox", { name: /^Fresh leaves of otto@/ })).toHaveText("full");
  await press("Fresh leaf");
  await expect(page.getByRole("heading", { name: "A fresh leaf" })).toBeVisible();
  await pick("Written to", "Bram");
  await tabTo(page, "Matter");
  await page.keyboard.type("By hand");
  await tabTo(page, "The leaf");
  await page.keyboard.press("Control+Home");
  await page.keyboard.type("No mouse was needed.");
  await press("Send the leaf");
  await expect(page.getByText("The leaf went out.")).toBeVisible();

  await atDesk(page, "bram-uzel", "malthouse");
  await press(/By hand/);
  await expect(page.getByRole("heading", { name: "By hand", exact: true })).toBeVisible();
  await expect(shown(page)).toContainText("No mouse was needed.");
  await press("Answer");
  await expect(page.getByRole("heading", { name: "Answer" })).toBeVisible();
  await tabTo(page, "The letter");
  await page.keyboard.press("Control+Home");
  await page.keyboard.type("Nor here.");
  await press("Hand it over");
  await expect(page.getByText("Your letter is with Otto Lind.")).toBeVisible();
});
