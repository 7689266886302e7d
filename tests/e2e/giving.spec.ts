import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { addressOf, endpoints } from "@/contract";
import { choose, idle, openCopy, proof, secretOf, shelfOf, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

/** Somebody of one test, in a department of their own: the directory is every test's. */
async function add(page: Page, word: string, more: Record<string, string> = {}) {
  const to = {
    name: `Ada ${word}`,
    title: "Keeper",
    department: `Desk ${word}`,
    mail: `ada.${word.toLowerCase()}@harrowfen.example`,
    ...more,
  };
  const answer = await page.request.post(endpoints.changePeople.path, {
    data: { changes: [{ id: "", from: null, to }] },
  });
  const [id = ""] = ((await answer.json()) as { ids: readonly string[] }).ids;
  return { ...to, id };
}

/** A copy of a signature of the demo, under a name of the test's own. */
async function copyOf(page: Page, of: string, name: string): Promise<string> {
  await page.goto(shelfOf(of));
  const href = (await page.getByRole("link", { name: of, exact: true }).getAttribute("href")) ?? "";
  const answer = await page.request.post(
    addressOf(endpoints.duplicateSignature, { id: href.split("/")[2] ?? "" }),
    idle,
  );
  const { id } = (await answer.json()) as { id: string };
  await page.request.patch(addressOf(endpoints.describeSignature, { id }), { data: { name } });
  return id;
}

const give = (page: Page, id: string, department: string) =>
  page.request.put(addressOf(endpoints.giveSignature, { id }), {
    ...idle,
    data: { audience: { kind: "some", departments: [department], people: [] }, purpose: "full" },
  });

const rowOf = (page: Page, list: string, name: string) =>
  page.getByRole("list", { name: list }).getByRole("listitem").filter({ hasText: name });

test("a signature is given to a department and to somebody by name, by keys too, and taken back", async ({
  page,
}) => {
  const ada = await add(page, "Given");
  const bo = await add(page, "Given", { name: "Bo Given", department: "" });
  await copyOf(page, "Short, for answers", "Given out");
  await page.goto("/people/signatures?look=Given");
  await expect(rowOf(page, "People", ada.name)).toContainText("has none for every day");
  const open = page.getByRole("button", { name: "Say whom “Given out” is for" });
  await open.click();
  const dialog = page.getByRole("dialog", { name: "Whom “Given out” is for" });
  await dialog.getByRole("checkbox", { name: `${ada.department} (1)` }).check();
  await dialog.getByRole("button", { name: "Give it so" }).click();
  await expect(dialog).toBeHidden();
  await expect(open).toBeFocused();
  await expect(rowOf(page, "People", ada.name)).toContainText("Given out full");
  await expect(rowOf(page, "People", bo.name)).toContainText("has none for every day");
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(rowOf(page, "People", ada.name)).toContainText("has none for every day");

  // The same without a mouse: somebody is found by letters of their name.
  await open.focus();
  await page.keyboard.press("Enter");
  await dialog.getByRole("combobox", { name: "And by name" }).focus();
  await page.keyboard.type("Bo Giv");
  await expect(page.getByRole("option", { name: /^Bo Given/ })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(dialog.getByRole("list", { name: "Chosen by name" })).toContainText("Bo Given");
  await expect(dialog.getByRole("combobox", { name: "And by name" })).toBeFocused();
  await dialog.getByRole("button", { name: "Give it so" }).press("Enter");
  await expect(rowOf(page, "People", bo.name)).toContainText("Given out full");
  await expect(rowOf(page, "People", ada.name)).toContainText("has none for every day");

  // Two of the same are listed, and one of them may be for answers instead.
  const other = await copyOf(page, "Full", "Given besides");
  await page.request.put(addressOf(endpoints.giveSignature, { id: other }), {
    ...idle,
    data: { audience: { kind: "some", departments: [], people: [bo.id] }, purpose: "full" },
  });
  await page.goto("/people/signatures?look=Given&shows=twice");
  await expect(rowOf(page, "People", bo.name)).toContainText("has two of the same");
  await open.click();
  await choose(dialog.getByRole("combobox", { name: "What it is for" }), "short, for answers");
  await dialog.getByRole("button", { name: "Give it so" }).click();
  await expect(page.getByText("Nobody is found.")).toBeVisible();
});

test("a part is for those of a department only: others see it nowhere, and nothing of it is lost", async ({
  page,
}) => {
  await openCopy(page, "Full");
  const banner = page.locator(".signature-editor img[alt*='Open Store']").last();
  await expect(proof(page, "webmail-inline").locator("img[alt*='Open Store']")).toBeVisible();
  await banner.click();
  const shownFor = page.getByRole("combobox", { name: "This part is shown for" });
  await choose(shownFor, "some departments, places …");
  await page.getByRole("checkbox", { name: "Press", exact: true }).check();
  await expect(page.getByText("Tamsin Okafor does not see it.")).toBeVisible();
  await expect(proof(page, "webmail-inline").locator("img[alt*='Open Store']")).toHaveCount(0);
  const version = await waitUntilSaved(page, 1);
  await page.reload();
  await expect(proof(page, "webmail-inline").getByText("Tamsin Okafor")).toBeVisible();
  await expect(proof(page, "webmail-inline").locator("img[alt*='Open Store']")).toHaveCount(0);
  await choose(page.getByRole("combobox", { name: /drawn for/i }), /^Freya Holm/);
  await expect(proof(page, "webmail-inline").locator("img[alt*='Open Store']")).toBeVisible();
  await banner.click();
  await expect(page.getByText("Freya Holm sees it.")).toBeVisible();
  await choose(shownFor, "everybody");
  await waitUntilSaved(page, version);
  await page.keyboard.press("Control+z");
  await expect(shownFor).toHaveText("some departments, places …");
});

test("everybody's page: written to once, copied from, installed, corrected, out of date, withdrawn", async ({
  page,
  context,
}) => {
  const ada = await add(page, "Paged");
  await give(page, await copyOf(page, "Full", "Paged"), ada.department);
  await page.goto("/people/pages?look=Paged");
  await expect(rowOf(page, "Pages", ada.name)).toContainText("no page yet");
  await page.getByRole("button", { name: "Write to them" }).click();
  const dialog = page.getByRole("dialog", { name: "Write to everybody with a signature" });
  await dialog.getByRole("textbox", { name: "Letter" }).fill("Hello {Name}");
  await dialog.getByRole("button", { name: "Rehearse it" }).click();
  await expect(dialog.getByRole("alert")).toContainText("The letter lacks {Page}");
  await dialog.getByRole("textbox", { name: "Letter" }).press("End");
  await dialog.getByRole("textbox", { name: "Letter" }).pressSequentially(", here: ");
  await dialog.getByRole("button", { name: "{Page}" }).click();
  await expect(dialog.getByRole("textbox", { name: "Letter" })).toHaveValue("Hello {Name}, here: {Page}");
  await choose(dialog.getByRole("combobox", { name: "To whom" }), `${ada.department} (1)`);
  await dialog.getByRole("button", { name: "Rehearse it" }).click();
  await expect(dialog.getByText("1 letter to the Mailroom.")).toBeVisible();
  await dialog.getByRole("button", { name: "Rehearse it" }).click();
  await expect(dialog.getByText("0 letters to the Mailroom, 1 person had it before.")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(rowOf(page, "Pages", ada.name)).toContainText("rehearsed on");

  // The letter on her desk leads to her page.
  const letters = await page.request.get(
    `${addressOf(endpoints.listLetters, { person: ada.id })}?box=in`,
    idle,
  );
  const [letter] = ((await letters.json()) as { letters: { id: string; subject: string }[] }).letters;
  const opened = await page.request.get(
    addressOf(endpoints.openLetter, { person: ada.id, letter: letter?.id ?? "" }),
    idle,
  );
  const secret = await secretOf(page, ada.id);
  expect(await opened.text()).toContain(`/mine/${secret}`);

  const own = await context.newPage();
  await own.goto(`/mine/${secret}`);
  await expect(own.getByRole("heading", { name: "Your mail signature", level: 1 })).toBeVisible();
  await own.getByRole("button", { name: "Copy the signature" }).click();
  await expect(own.getByText("Copied as it looks.")).toBeVisible();
  await choose(own.getByRole("combobox", { name: "Your kind of mail" }), "Desktop, independent");
  const download = own.waitForEvent("download");
  await own.getByRole("link", { name: /^Download/ }).click();
  expect(await readFile(await (await download).path(), "utf8")).toContain(ada.name);
  await own.getByRole("button", { name: "I have put it in" }).click();
  await expect(own.getByText(/^Desktop, independent: what you put in on .* is current\.$/)).toBeVisible();
  // Asked for without a mouse.
  await own.getByRole("textbox", { name: "Title" }).fill("Head Keeper");
  await own.keyboard.press("Enter");
  await expect(own.getByText("Waits for the office; until then it is “Keeper”.")).toBeVisible();
  await own.reload();
  await expect(own.getByRole("textbox", { name: "Title" })).toHaveValue("Head Keeper");

  await page.reload();
  await expect(rowOf(page, "Pages", ada.name)).toContainText(
    /opened on .* · copied on .* · 1 install, current/,
  );
  await page.getByRole("button", { name: `Accept: Title of ${ada.name}` }).click();
  await expect(rowOf(page, "Pages", ada.name)).toContainText("1 install out of date");
  await own.reload();
  await expect(own.getByText("Title is “Head Keeper” now, no longer “Keeper”.")).toBeVisible();
  await choose(own.getByRole("combobox", { name: "Your kind of mail" }), "Desktop, independent");
  await own.getByRole("button", { name: "I have put the new one in" }).click();
  await expect(own.getByText(/what you put in on .* is current\.$/)).toBeVisible();
  // What was accepted is a step of the directory.
  await page.keyboard.press("Control+z");
  await expect(page.getByText(`Taken back: Title of ${ada.name}.`)).toBeVisible();

  await page.getByRole("button", { name: `Withdraw the page of ${ada.name}` }).click();
  await expect(rowOf(page, "Pages", ada.name)).toContainText("withdrawn: nothing is shown at its address");
  await own.reload();
  await expect(own.getByRole("heading", { name: "There is no page here any more" })).toBeVisible();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(rowOf(page, "Pages", ada.name)).toContainText("opened on");
  await own.reload();
  await expect(own.getByRole("heading", { name: "Your mail signature", level: 1 })).toBeVisible();
});

test("a row is for whoever has a mobile, without a mouse, and taken back by key from the tools", async ({
  page,
}) => {
  await openCopy(page, "Short, for answers");
  const sheet = page.locator(".signature-editor .ProseMirror");
  const rows = sheet.locator("> table > tbody > tr");
  const before = await rows.count();
  await sheet.focus();
  await page.keyboard.press("Control+Home");
  // From the text out to its cell: what is said then is said of its row.
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  const shownFor = page.getByRole("combobox", { name: /^(?:This row is|These rows are) shown for$/ });
  await shownFor.focus();
  await page.keyboard.press("Enter");
  await page.keyboard.type("whoever has");
  await page.keyboard.press("Enter");
  await expect(shownFor).toHaveText("whoever has a detail");
  const detail = page.getByRole("combobox", { name: "Which detail" });
  await choose(detail, "Mobile");
  await expect(sheet.locator("tr.for-some").first()).toHaveAttribute(
    "title",
    "Shown for whoever has something in Mobile",
  );
  await choose(page.getByRole("combobox", { name: /drawn for/i }), /^Jo Li/);
  await expect(sheet.locator("tr.for-others")).toHaveCount(1);
  // What is not for them stays on the sheet, to be worked on.
  expect(await rows.count()).toBe(before);
  await detail.focus();
  await page.keyboard.press("Control+z");
  await expect(detail).toHaveText("Phone");
  await page.keyboard.press("Control+z");
  await expect(shownFor).toHaveText("everybody");
  await expect(sheet.locator("tr.for-some")).toHaveCount(0);
  await page.keyboard.press("Control+y");
  await expect(shownFor).toHaveText("whoever has a detail");
});

test("only those whom a signature is given to are tried with it", async ({ page }) => {
  const ada = await add(page, "Tried", {
    title: "Keeper of the very long and winding corridors of the old store",
  });
  await openCopy(page, "Full");
  const path = new URL(page.url()).pathname;
  const everybody = page.getByRole("button", { name: "Everybody" });
  await page.goto(`${path}/proof`);
  await everybody.click();
  await expect(page.getByText(/^\d+ of \d{2,} fit$/)).toBeVisible();
  await give(page, path.split("/")[2] ?? "", ada.department);
  await page.reload();
  await everybody.click();
  await expect(page.getByText("0 of 1 fit")).toBeVisible();
  await expect(page.getByRole("region", { name: "Whose lines wrap or stick out" })).toContainText(ada.name);
  await page.goto(path);
  await page.getByRole("button", { name: "try the longest" }).click();
  await expect(page.getByRole("button", { name: `tried with ${ada.name}` })).toBeVisible();
});
