import { readdirSync } from "node:fs";
import { readFile } from "node:fs/promises";
import path from "node:path";
import type { Page } from "@playwright/test";
import { endpoints } from "@/contract";
import { choose, shelfOf, startBlank, tabTo, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

/** People of one test, who are nobody's in another: the directory is every test's. */
const lists = (word: string) => ({
  ada: `Ada ${word}`,
  bo: `Bo ${word}`,
  mail: (name: string) => `${name}.${word}@harrowfen.example`.toLowerCase(),
});

async function add(page: Page, ...people: readonly Record<string, string>[]): Promise<readonly string[]> {
  const answer = await page.request.post(endpoints.changePeople.path, {
    data: { changes: people.map((to) => ({ id: "", from: null, to })) },
  });
  return ((await answer.json()) as { ids: readonly string[] }).ids;
}

const cellOf = (page: Page, field: string, name: string) =>
  page.getByRole("button", { name: new RegExp(`^${field} of ${name}:`) });

const found = (page: Page, look: string) => page.goto(`/people?look=${encodeURIComponent(look)}`);

/** The directory as somebody typed it. */
async function typed(page: Page, look: string): Promise<readonly Record<string, string>[]> {
  const answer = await page.request.get(endpoints.typedPeople.path);
  const { people } = (await answer.json()) as { people: { person: Record<string, string> }[] };
  return people.map(({ person }) => person).filter(({ name = "" }) => name.includes(look));
}

const demoPeople = new Set(readdirSync("demo/people").map((file) => path.basename(file, ".json")));

// The directory is every test's: those who came in one are not there in the next.
test.afterEach(async ({ page }) => {
  const answer = await page.request.get(endpoints.typedPeople.path);
  const { people } = (await answer.json()) as { people: { id: string }[] };
  const come = people.filter(({ id }) => !demoPeople.has(id));
  if (come.length === 0) return;
  const gone = await page.request.post(endpoints.changePeople.path, {
    data: { changes: come.map(({ id }) => ({ id, from: {}, to: null })) },
  });
  expect(gone.ok()).toBe(true);
});

test("a detail is changed where it stands, by mouse and by keys, and taken back", async ({ page }) => {
  const { ada, bo } = lists("Edited");
  await add(page, { name: ada, title: "Head" }, { name: bo, title: "Lead", department: "Cold Store" });
  await found(page, "Edited");
  await cellOf(page, "Title", ada).click();
  const field = page.getByRole("textbox", { name: `Title of ${ada}` });
  await field.fill("Keeper of Seeds");
  await field.press("Enter");
  await expect(cellOf(page, "Title", ada)).toHaveText("Keeper of Seeds");
  // The focus goes on below, where a letter begins anew.
  await expect(cellOf(page, "Title", bo)).toBeFocused();
  await page.keyboard.press("K");
  await page.keyboard.type("eeper of Labels");
  await page.keyboard.press("Tab");
  await expect(cellOf(page, "Department", bo)).toBeFocused();
  await page.keyboard.press("F2");
  await page.keyboard.type(" and more");
  await page.keyboard.press("Escape");
  await expect(cellOf(page, "Department", bo)).toHaveText("Cold Store");
  await expect(cellOf(page, "Department", bo)).toBeFocused();
  await expect
    .poll(async () => (await typed(page, "Edited")).map(({ title }) => title))
    .toEqual(["Keeper of Seeds", "Keeper of Labels"]);

  await page.keyboard.press("Control+z");
  await expect(cellOf(page, "Title", bo)).toHaveText("Lead");
  // What was done is still to be taken back after the page was loaded again.
  await page.reload();
  await page.getByRole("button", { name: `Undo: Title of ${ada}. (Ctrl Z)` }).click();
  await expect(cellOf(page, "Title", ada)).toHaveText("Head");
  await page.getByRole("button", { name: /^Redo/ }).click();
  await expect(cellOf(page, "Title", ada)).toHaveText("Keeper of Seeds");
  expect((await typed(page, "Edited")).map(({ title }) => title)).toEqual(["Keeper of Seeds", "Lead"]);
});

test("what was typed into a cell is kept when it is scrolled away, and each of many edits in a row", async ({
  page,
}) => {
  const names = Array.from({ length: 80 }, (_unused, at) => `Row ${String(at).padStart(2, "0")} Scrolled`);
  await add(page, ...names.map((name) => ({ name, title: "Before" })));
  await found(page, "Scrolled");
  await cellOf(page, "Title", names[0] ?? "").click();
  await page.getByRole("textbox", { name: `Title of ${names[0]}` }).fill("Typed and scrolled away");
  await page.getByRole("grid").evaluate((grid) => grid.parentElement?.scrollTo({ top: 100_000 }));
  await expect(cellOf(page, "Title", names[79] ?? "")).toBeVisible();
  const titleOf = async (at: number) => (await typed(page, names[at] ?? ""))[0]?.title;
  await expect.poll(() => titleOf(0)).toBe("Typed and scrolled away");
  // Faster than any answer comes.
  await cellOf(page, "Title", names[79] ?? "").click();
  for (const title of ["One", "Two", "Three"]) {
    await page.getByRole("textbox", { name: `Title of ${names[79]}` }).fill(title);
    await page.keyboard.press("Enter");
    await page.keyboard.press("Enter");
  }
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect.poll(() => titleOf(79)).toBe("Two");
  await expect(cellOf(page, "Title", names[79] ?? "")).toHaveText("Two");
  // A name is never taken away.
  await cellOf(page, "Name", names[79] ?? "").focus();
  await page.keyboard.press("Enter");
  await page.getByRole("textbox", { name: `Name of ${names[79]}` }).fill("");
  await page.keyboard.press("Enter");
  await expect(page.getByText("A person needs a name: what was there stays.")).toBeVisible();
  await expect(cellOf(page, "Name", names[79] ?? "")).toBeVisible();
});

test("what another window has changed meanwhile is not written over", async ({ page }) => {
  const { ada } = lists("Twice");
  const [id = ""] = await add(page, { name: ada, title: "Head" });
  await found(page, "Twice");
  await expect(cellOf(page, "Title", ada)).toHaveText("Head");
  await page.request.post(endpoints.changePeople.path, {
    data: { changes: [{ id, from: { title: "Head" }, to: { title: "Director" } }] },
  });
  await cellOf(page, "Title", ada).click();
  await page.getByRole("textbox", { name: `Title of ${ada}` }).fill("Lead");
  await page.keyboard.press("Enter");
  await expect(page.getByText(`Somebody changed Title of ${ada} meanwhile.`)).toBeVisible();
  await expect(cellOf(page, "Title", ada)).toHaveText("Director");
});

test("somebody is added, duplicated, taken out and taken back", async ({ page }) => {
  const { ada } = lists("Added");
  await page.goto("/people");
  await page.getByRole("button", { name: "Add a person" }).click();
  const dialog = page.getByRole("dialog", { name: "Add a person" });
  // What most people have alike is there already.
  await expect(dialog.getByRole("textbox", { name: "Organisation" })).toHaveValue("Harrow Fen Seed Library");
  await dialog.getByRole("button", { name: "Add to the directory" }).click();
  await expect(dialog.getByText("A person needs a name.")).toBeVisible();
  await dialog.getByRole("textbox", { name: "Name", exact: true }).fill(ada);
  await dialog.getByRole("textbox", { name: "Title" }).fill("Intern");
  await page.keyboard.press("Enter");
  await expect(dialog).toBeHidden();
  await page.getByRole("searchbox", { name: "Look for a person" }).fill(ada);
  await page.getByRole("button", { name: `More for ${ada}`, exact: true }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await expect(cellOf(page, "Title", `${ada} \\(copy\\)`)).toHaveText("Intern");
  await page.getByRole("button", { name: `More for ${ada} (copy)` }).click();
  await page.getByRole("menuitem", { name: "Take out of the directory" }).click();
  await expect(cellOf(page, "Title", `${ada} \\(copy\\)`)).toBeHidden();
  // What is taken back is what the message speaks of, whatever was done since.
  await cellOf(page, "Title", ada).click();
  await page.getByRole("textbox", { name: `Title of ${ada}` }).fill("Keeper");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(cellOf(page, "Title", `${ada} \\(copy\\)`)).toBeVisible();
  await expect(cellOf(page, "Title", ada)).toHaveText("Keeper");
  expect(await typed(page, "Added")).toHaveLength(2);
});

test("a list is looked at, mended and brought in as one step", async ({ page }) => {
  const { ada, bo, mail } = lists("Listed");
  await add(page, { name: ada, title: "Head", mail: mail("ada"), phone: "+44 1632 960101" });
  await page.goto("/people/bring-in");
  const lines = [
    "Who;Job title;E-Mail;Office phone",
    `${ada};Director;${mail("ada")};`,
    `${bo};Keeper;${mail("bo")};+44 1632 960102`,
    `Cy Listed;Lead`,
  ];
  await page.locator("input[type=file]").setInputFiles({
    ...{ name: "staff.csv", mimeType: "text/csv" },
    buffer: Buffer.from(lines.join("\r\n")),
  });
  await expect(page.getByRole("combobox", { name: "Cells are parted by" })).toHaveText("semicolons");
  await expect(page.getByRole("combobox", { name: "What the column Job title is" })).toHaveText("Title");
  await expect(page.getByRole("tab", { name: /come/ })).toHaveText("1come");
  await expect(page.getByRole("tabpanel")).toContainText(bo);
  await page.getByRole("tab", { name: /change/ }).click();
  await expect(page.getByRole("tabpanel")).toContainText(/Title\s*Head\s*Director/);
  await page.getByRole("tab", { name: /cannot be read/ }).click();
  await expect(page.getByRole("tabpanel")).toContainText("It has 2 cells, and the table has 4 columns.");
  const broken = page.getByRole("textbox", { name: "Line 4" });
  await expect(broken).toHaveValue("Cy Listed;Lead");
  await broken.fill(`Cy Listed;Lead;${mail("cy")};`);
  await broken.press("Enter");
  await expect(page.getByText("Every line can be read.")).toBeVisible();
  // An empty cell leaves what is there.
  await expect(
    page.getByRole("checkbox", { name: "Take out what is empty in the list (1 detail)" }),
  ).not.toBeChecked();
  expect(await typed(page, "Listed")).toHaveLength(1);
  await page.getByRole("button", { name: "Bring in: 2 come, 1 changes" }).click();
  await expect(page).toHaveURL(/\/people$/);
  expect((await typed(page, "Listed")).map(({ name, title, phone }) => [name, title, phone])).toEqual([
    [ada, "Director", "+44 1632 960101"],
    [bo, "Keeper", "+44 1632 960102"],
    ["Cy Listed", "Lead", ""],
  ]);
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect.poll(() => typed(page, "Listed")).toMatchObject([{ name: ada, title: "Head" }]);
});

test("cells that were copied are brought in, and columns are remembered as they were chosen", async ({
  page,
}) => {
  const paste = (text: string) =>
    page.getByRole("textbox", { name: "Cells from a spreadsheet" }).evaluate((field, pasted) => {
      const data = new DataTransfer();
      data.setData("text/plain", pasted);
      field.dispatchEvent(
        new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);
  const cells = "Name\tDesk\nAda Pasted\tEast Wing\nBo Pasted\tWest Wing";
  await page.goto("/people/bring-in");
  await paste(cells);
  const desk = page.getByRole("combobox", { name: "What the column Desk is" });
  await expect(desk).toHaveText("left out");
  await choose(desk, "Address");
  await expect(page.getByRole("tabpanel")).toContainText("East Wing");
  await page.getByRole("button", { name: "Bring in: 2 come" }).click();
  await expect(page).toHaveURL(/\/people$/);
  expect((await typed(page, "Pasted")).map(({ address }) => address)).toEqual(["East Wing", "West Wing"]);
  await page.goto("/people/bring-in");
  await paste(cells);
  await expect(desk).toHaveText("Address");
  await expect(page.getByRole("button", { name: "Nothing to bring in" })).toBeDisabled();
});

test("what is saved as a file comes back with nothing to bring in", async ({ page }) => {
  await add(page, {
    name: "=Ada Saved",
    title: "+1",
    mail: "ada.saved@harrowfen.example",
    phone: "ask, at the desk",
  });
  await found(page, "Saved");
  for (const [form, says] of [
    ["As a table for spreadsheets (.csv)", "Cells are parted by"],
    ["As contact cards (.vcf)", "Contact cards"],
  ] as const) {
    await page.getByRole("button", { name: "Save as a file" }).click();
    const download = page.waitForEvent("download");
    await page.getByRole("menuitem", { name: form }).click();
    const file = await download;
    const bytes = await readFile(await file.path());
    const list = await page.context().newPage();
    await list.goto("/people/bring-in");
    await list
      .locator("input[type=file]")
      .setInputFiles({ name: file.suggestedFilename(), mimeType: "text/plain", buffer: bytes });
    await expect(list.getByText(says)).toBeVisible();
    await expect(list.getByText("1 as they are")).toBeVisible();
    await expect(list.getByRole("button", { name: "Nothing to bring in" })).toBeDisabled();
    await list.close();
  }
});

test("a field of one's own is filled in, put on the sheet without the mouse, and drawn as the person has it", async ({
  page,
}) => {
  const { ada } = lists("Owned");
  await add(page, { name: ada, department: "Front Desk" });
  await found(page, "Owned");
  await page.getByRole("button", { name: "Columns" }).click();
  const panel = page.getByRole("dialog", { name: "Columns" });
  await panel.getByRole("textbox", { name: "Name" }).fill("Direct line");
  await choose(panel.getByRole("combobox", { name: "What it holds" }), "phone number");
  await panel.getByRole("button", { name: "Add the field" }).click();
  await expect(panel.getByRole("checkbox", { name: "Direct line" })).toBeChecked();
  await page.keyboard.press("Escape");
  await cellOf(page, "Direct line", ada).click();
  await page.keyboard.type("+44 1632 960177");
  await page.keyboard.press("Enter");
  await expect.poll(() => typed(page, "Owned")).toMatchObject([{ "phone:Direct line": "+44 1632 960177" }]);

  await startBlank(page, 1, 1);
  // Somebody is found by letters of their department, too.
  await tabTo(page, "drawn for");
  await page.keyboard.press("Enter");
  await page.keyboard.type("front owned");
  await expect(page.getByRole("option", { selected: true })).toContainText(ada);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText(ada);
  await tabTo(page, "Signature");
  await page.keyboard.press("F2");
  await page.keyboard.type("Direct line");
  await expect(page.getByRole("option", { selected: true })).toHaveText("Direct line");
  await page.keyboard.press("Enter");
  await expect(page.locator(".signature-editor")).toContainText("+44 1632 960177");
  await waitUntilSaved(page, 1);
  await page.reload();
  await expect(page.locator(".signature-editor")).toContainText("+44 1632 960177");
});

test("phone numbers are written as the organisation says, and lead to the same number", async ({ page }) => {
  await page.goto("/people");
  await page.getByRole("button", { name: "Numbers" }).click();
  const panel = page.getByRole("dialog", { name: "How phone numbers are written" });
  await panel.getByRole("radio", { name: "national", exact: true }).click();
  await panel.getByRole("button", { name: "Write them so" }).click();
  await expect(panel.getByRole("alert")).toContainText(
    "Say which country’s numbers are written without their code",
  );
  await panel.getByRole("textbox", { name: /Calling code/ }).fill("44");
  await expect(panel).toContainText("01632 960118 ext. 12");
  await panel.getByRole("button", { name: "Write them so" }).click();
  await expect(page.getByText("Phone numbers are written so in every signature.")).toBeVisible();
  try {
    await page.goto(shelfOf("Short, for answers"));
    const drawn = page.locator("iframe").first().contentFrame();
    await expect(drawn.getByRole("link", { name: "01632 960118" })).toHaveAttribute(
      "href",
      "tel:+441632960118",
    );
  } finally {
    await page.request.put(endpoints.keepPhoneForm.path, {
      data: { style: "typed", extension: true, callingCode: "" },
    });
  }
  expect((await typed(page, "Tamsin")).map(({ phone }) => phone)).toEqual(["+44 1632 960118"]);
});

test("a title that changes in the directory puts what is installed out of date, and taking it back makes it current", async ({
  page,
}) => {
  const { ada } = lists("Installed");
  const [id = ""] = await add(page, {
    name: ada,
    title: "Head of Reeds",
    mail: "ada.installed@harrowfen.example",
  });
  await page.goto(shelfOf("Full"));
  await page.getByRole("button", { name: "Duplicate Full", exact: true }).click();
  await page.getByRole("link", { name: "Full, copy", exact: true }).click();
  await choose(page.getByRole("combobox", { name: "drawn for" }), ada);
  await expect(page.locator(".signature-editor")).toContainText("Head of Reeds");
  await page.getByRole("link", { name: /^Install/ }).click();
  await page.getByRole("button", { name: "It is installed" }).click();
  await expect(page.getByText("Up to date").first()).toBeVisible();

  await page.goto(`/people/${id}`);
  await expect(page.getByRole("heading", { name: "1 install, all current" })).toBeVisible();
  const title = page.getByRole("textbox", { name: "Title" });
  await title.fill("Director of Reeds");
  await title.press("Enter");
  await expect(page.getByRole("heading", { name: "1 install, 1 out of date" })).toBeVisible();
  await expect(page.getByText(/Director of Reeds.*Head of Reeds/)).toBeVisible();
  await page.goto("/installs");
  await expect(page.getByRole("region", { name: ada })).toContainText("Out of date");
  await page.goto(`/people/${id}`);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByRole("heading", { name: "1 install, all current" })).toBeVisible();
  await expect(title).toHaveValue("Head of Reeds");
});
