import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import { endpoints } from "@/contract";
import { readPictureDetail } from "@/core/people";
import { choose, openCopy, proof, savedDocument, tabTo } from "./bench";
import { expect, test } from "./test";

const sheet = (page: Page): Locator => page.locator(".signature-editor");

/** The picture of somebody on the sheet, once it has come. */
async function pictureOf(page: Page, name: string): Promise<string> {
  const picture = sheet(page).getByRole("img", { name, exact: true });
  await expect(picture).toBeVisible();
  await expect
    .poll(() => picture.evaluate((image: HTMLImageElement) => image.complete && image.naturalWidth))
    .toBe(192);
  return (await picture.getAttribute("src")) ?? "";
}

async function drawFor(page: Page, name: string): Promise<void> {
  const field = page.getByRole("combobox", { name: /drawn for/i });
  await choose(field, name);
  await expect(field).toContainText(name);
}

async function bind(page: Page): Promise<void> {
  await sheet(page).getByRole("img").first().click();
  await choose(page.getByRole("combobox", { name: "It shows" }), "Portrait of each person");
}

/** The picture placed in the first cell, as the document holds it. */
async function placed(page: Page): Promise<Record<string, unknown>> {
  interface Json {
    readonly type: string;
    readonly attrs?: Record<string, unknown>;
    readonly content?: readonly Json[];
  }
  const find = (node: Json): Json | undefined =>
    node.type === "picture" ? node : node.content?.map(find).find(Boolean);
  return find((await savedDocument(page)) as Json)?.attrs ?? {};
}

async function addPerson(page: Page, details: Record<string, string>): Promise<string> {
  const answer = await page.request.post(endpoints.changePeople.path, {
    data: { changes: [{ id: "", from: null, to: details }] },
  });
  return ((await answer.json()) as { ids: readonly string[] }).ids[0] ?? "";
}

async function portraitOf(page: Page, id: string): Promise<string> {
  const answer = await page.request.post(endpoints.peopleRows.path, { data: { ids: [id] } });
  const { people } = (await answer.json()) as { people: { person: { portrait: string } }[] };
  return people[0]?.person.portrait ?? "";
}

test("one place shows each person's own portrait, their initials, or closes up", async ({ page }) => {
  await openCopy(page, "Full");
  await bind(page);
  const tamsin = await pictureOf(page, "Tamsin Okafor");
  expect(tamsin).toContain("/tamsin-okafor.");
  await expect(proof(page, "webmail-inline").getByRole("img", { name: "Tamsin Okafor" })).toBeVisible();

  await drawFor(page, "Freya Holm");
  const freya = await pictureOf(page, "Freya Holm");
  expect(freya).toContain("/freya-holm.");
  await expect(page.getByText("Freya Holm has a portrait.")).toBeVisible();

  await drawFor(page, "Otto Lind");
  expect(await pictureOf(page, "Otto Lind")).toContain("/initials-ol.");
  await expect(page.getByText("Otto Lind has no portrait yet.")).toBeVisible();

  await choose(page.getByRole("combobox", { name: "Where there is none" }), "nothing: the place closes up");
  const mail = proof(page, "webmail-inline");
  await expect(mail.getByText("Otto Lind")).toBeVisible();
  await expect(mail.getByRole("img", { name: "Otto Lind" })).toHaveCount(0);
  // What is left of the row is the cell with the words, as wide as the table was.
  await expect(mail.locator("table").first().locator("> tbody > tr").first().locator("> td")).toHaveCount(1);
  await expect(sheet(page).getByText("96 × 96")).toBeVisible();
  await expect.poll(async () => (await placed(page)).without).toBe("nothing");

  await drawFor(page, "Tamsin Okafor");
  expect(await pictureOf(page, "Tamsin Okafor")).toBe(tamsin);
});

test("a cut of one's portrait frames everybody's, and the part that shows is theirs", async ({ page }) => {
  const id = await addPerson(page, { name: "Cass Framed", mail: "cass.framed@harrowfen.example" });
  await page.goto(`/people/${id}`);
  const portrait = page.getByRole("region", { name: "Portrait" });
  await portrait.locator("input[type=file]").setInputFiles("demo/pictures/originals/ifor-pell.jpg");
  await expect(portrait.getByRole("application")).toBeVisible();
  const before = readPictureDetail(await portraitOf(page, id));
  // The head of the photograph is found: it is left of the middle.
  expect(before?.focus.x).toBeLessThan(500);

  await openCopy(page, "Full");
  await bind(page);
  await pictureOf(page, "Tamsin Okafor");
  await drawFor(page, "Cass Framed");
  const round = await pictureOf(page, "Cass Framed");
  const source = (await placed(page)).source;
  await page.getByRole("button", { name: "Cut it" }).click();
  const room = page.getByRole("dialog");
  await expect(room.getByText("Cut ifor-pell.jpg")).toBeVisible();
  await room.getByRole("radio", { name: "Rounded" }).click();
  await room.locator(".ReactCrop__crop-selection").focus();
  await page.keyboard.press("Shift+ArrowRight");
  await room.getByRole("button", { name: "Put it in place" }).click();
  await expect(
    page.getByText("Portrait of Cass Framed shows another part in every signature."),
  ).toBeVisible();
  await expect.poll(() => pictureOf(page, "Cass Framed")).not.toBe(round);
  await expect.poll(async () => (await placed(page)).source).not.toBe(source);
  const after = readPictureDetail(await portraitOf(page, id));
  expect(after?.focus).toEqual({ ...before?.focus, x: (before?.focus.x ?? 0) + 5 });

  // Everybody else's is in the new frame, and shows what it showed.
  await drawFor(page, "Tamsin Okafor");
  await expect
    .poll(async () => {
      const { cut } = (await (
        await page.request.get(`${endpoints.findCut.path}?source=${await pictureOf(page, "Tamsin Okafor")}`)
      ).json()) as { cut: { recipe: { frame: { shape: string } } } };
      return cut.recipe.frame.shape;
    })
    .toBe("rounded");
});

test("a portrait is moved by keys alone on the person's page, taken away and taken back", async ({
  page,
}) => {
  const id = await addPerson(page, { name: "Dell Moved", mail: "dell.moved@harrowfen.example" });
  await page.goto(`/people/${id}`);
  const portrait = page.getByRole("region", { name: "Portrait" });
  await expect(portrait.getByText("None yet")).toBeVisible();
  await portrait.getByRole("button", { name: "From the library" }).focus();
  await page.keyboard.press("Enter");
  const dialog = page.getByRole("dialog", { name: "Place a picture" });
  await dialog.getByRole("searchbox").or(dialog.getByRole("textbox")).first().fill("kwame");
  await dialog.getByRole("button", { name: /kwame-asante\.jpg/ }).press("Enter");
  const frame = portrait.getByRole("application");
  await expect(frame).toBeVisible();
  const first = await portraitOf(page, id);
  const focus = readPictureDetail(first)?.focus;

  await page.getByRole("link", { name: "All people" }).focus();
  await tabTo(page, /^The part of the photograph of Dell Moved/);
  await page.keyboard.press("Shift+ArrowLeft");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("+");
  await expect.poll(() => portraitOf(page, id)).not.toBe(first);
  const moved = readPictureDetail(await portraitOf(page, id))?.focus;
  expect(moved?.x).toBeGreaterThan(focus?.x ?? 0);
  expect(moved?.y).toBeGreaterThan(focus?.y ?? 0);
  expect(moved?.side).toBeLessThan(focus?.side ?? 0);
  await expect(frame).toBeFocused();

  await page.keyboard.press("Control+z");
  await expect.poll(() => portraitOf(page, id)).toBe(first);
  await expect(frame).toHaveAttribute("data-focus", `${focus?.x} ${focus?.y} ${focus?.side}`);

  await portrait.getByRole("button", { name: "Take it away" }).press("Enter");
  await expect(portrait.getByText("None yet")).toBeVisible();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(frame).toBeVisible();
  expect(await portraitOf(page, id)).toBe(first);
});

test("what is no picture is refused with what is wrong, and nothing is lost", async ({ page }) => {
  const id = await addPerson(page, { name: "Eve Refused", mail: "eve.refused@harrowfen.example" });
  await page.goto(`/people/${id}`);
  const portrait = page.getByRole("region", { name: "Portrait" });
  await portrait
    .locator("input[type=file]")
    .setInputFiles({ name: "notes.jpg", mimeType: "image/jpeg", buffer: Buffer.from("no picture at all") });
  await expect(page.getByText(/notes\.jpg/)).toBeVisible();
  await expect(portrait.getByText("None yet")).toBeVisible();
  expect(await portraitOf(page, id)).toBe("");
});

test("photographs are matched to people, corrected before they are kept, and nudged on the sheet", async ({
  page,
}) => {
  const word = "Sheeted";
  const mail = (name: string): string => `${name}.${word}@harrowfen.example`.toLowerCase();
  const [gil = "", hal = "", ivy = ""] = await Promise.all(
    ["Gil", "Hal", "Ivy"].map((name) => addPerson(page, { name: `${name} ${word}`, mail: mail(name) })),
  );
  const photo = async (name: string, of: string) => ({
    ...{ name, mimeType: "image/jpeg" },
    buffer: await readFile(`demo/pictures/originals/${of}.jpg`),
  });
  await page.goto(`/people/portraits?look=${word}`);
  const tiles = page.getByRole("list", { name: "Portraits" }).or(page.getByRole("main"));
  await expect(tiles.getByRole("link", { name: `Gil ${word}` })).toBeVisible();
  await page
    .locator('input[type=file][accept*="zip"]')
    .setInputFiles([
      await photo(`Gil_${word}.JPG`, "bram-uzel"),
      await photo(`${mail("Hal")}.jpg`, "anjali-rao"),
      await photo("IMG_2034.jpg", "jo-li"),
      { name: "notes.txt", mimeType: "text/plain", buffer: Buffer.from("no picture") },
    ]);
  const dialog = page.getByRole("dialog", { name: "Photographs" });
  await expect(dialog.getByText("2 photographs are somebody’s, 1 nobody’s yet.")).toBeVisible();
  await expect(dialog.getByRole("alert")).toContainText("notes.txt");
  await expect(dialog.getByRole("combobox", { name: `Whose Gil_${word}.JPG is` })).toHaveText(`Gil ${word}`);
  await expect(dialog.getByRole("combobox", { name: `Whose ${mail("Hal")}.jpg is` })).toHaveText(
    `Hal ${word}`,
  );
  await choose(dialog.getByRole("combobox", { name: "Whose IMG_2034.jpg is" }), `Ivy ${word}`);
  // Nothing is written before it is kept.
  expect(await Promise.all([gil, hal, ivy].map((id) => portraitOf(page, id)))).toEqual(["", "", ""]);
  await dialog.getByRole("button", { name: "Keep 3 portraits" }).click();
  await expect(page.getByText("3 people have a new portrait.")).toBeVisible();
  await expect(page.getByRole("application")).toHaveCount(3);
  // The one of few pixels is told.
  await expect(page.getByText(/it will be blurred on most displays/)).toHaveCount(1);

  const kept = await portraitOf(page, gil);
  const frame = page.getByRole("application", { name: new RegExp(`photograph of Gil ${word}`) });
  const box = (await frame.boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 60, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => portraitOf(page, gil)).not.toBe(kept);
  const [before, after] = [kept, await portraitOf(page, gil)].map((each) => readPictureDetail(each)!.focus);
  expect(after!.x - before!.x).toBeGreaterThan(before!.side * 0.1);
  expect(after).toMatchObject({ y: before!.y, side: before!.side });

  // All that were brought in are one step; so was the nudge.
  await page.getByRole("heading", { name: "Portraits" }).click();
  await page.keyboard.press("Control+z");
  await expect.poll(() => portraitOf(page, gil)).toBe(kept);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("application")).toHaveCount(0);
  expect(await Promise.all([gil, hal, ivy].map((id) => portraitOf(page, id)))).toEqual(["", "", ""]);
});

test("photographs of contact cards are matched to whose cards they are, and kept after a look", async ({
  page,
}) => {
  const word = "Carded";
  const mail = (name: string): string => `${name}.${word}@harrowfen.example`.toLowerCase();
  const lea = await addPerson(page, { name: `Lea ${word}`, mail: mail("Lea") });
  const photo = async (of: string): Promise<string> =>
    (await readFile(`demo/pictures/originals/${of}.jpg`)).toString("base64");
  const card = (version: "3.0" | "4.0", name: string, picture: string): string =>
    [
      "BEGIN:VCARD",
      `VERSION:${version}`,
      `FN:${name} ${word}`,
      `EMAIL:${mail(name)}`,
      picture,
      "END:VCARD",
      "",
    ].join("\r\n");
  const cards = [
    card("3.0", "Kit", `PHOTO;TYPE=JPEG;ENCODING=b:${await photo("bram-uzel")}`),
    card("4.0", "Lea", `PHOTO:data:image/jpeg;base64,${await photo("anjali-rao")}`),
    card("4.0", "Mo", "PHOTO:https://harrowfen.example/mo.jpg"),
    card("3.0", "Nia", "PHOTO;TYPE=JPEG;ENCODING=b:this is no picture"),
  ].join("");
  await page.goto("/people/bring-in");
  await page
    .locator("input[type=file]")
    .setInputFiles({ name: "cards.vcf", mimeType: "text/vcard", buffer: Buffer.from(cards) });
  await expect(page.getByText("3 cards hold a photograph: whose each is you see next")).toBeVisible();
  await expect(page.getByText("1 card gives a web address in place of a photograph.")).toBeVisible();
  await page.getByRole("button", { name: "Bring in: 3 come, 3 photographs" }).click();
  const dialog = page.getByRole("dialog", { name: "Photographs" });
  await expect(dialog.getByText("2 photographs are somebody’s, 0 nobody’s yet.")).toBeVisible();
  await expect(dialog.getByRole("alert")).toContainText(`Nia ${word}.jpg`);
  await expect(dialog.getByRole("combobox", { name: `Whose Kit ${word}.jpg is` })).toHaveText(`Kit ${word}`);
  expect(await portraitOf(page, lea)).toBe("");
  await dialog.getByRole("button", { name: "Keep 2 portraits" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("2 people have a new portrait.")).toBeVisible();
  await expect
    .poll(async () => readPictureDetail(await portraitOf(page, lea))?.original)
    .toMatch(/^[0-9a-f]+$/);

  // The same cards again: nobody comes and nobody changes, and who has a portrait keeps it where the look is left.
  const kept = await portraitOf(page, lea);
  await page.goto("/people/bring-in");
  await page
    .locator("input[type=file]")
    .setInputFiles({ name: "cards.vcf", mimeType: "text/vcard", buffer: Buffer.from(cards) });
  await page.getByRole("button", { name: "Bring in: 3 photographs" }).click();
  await expect(dialog.getByText("takes the place of another")).toHaveCount(2);
  await page.keyboard.press("Escape");
  await expect(dialog).toBeHidden();
  expect(await portraitOf(page, lea)).toBe(kept);
  await page.reload();
  await expect(page.getByRole("heading", { name: "Portraits" })).toBeVisible();
  await expect(dialog).toBeHidden();
});

test("what is dropped on somebody's place is theirs alone, and people without a department are listed", async ({
  page,
}) => {
  const id = await addPerson(page, { name: "Joy Dropped", mail: "joy.dropped@harrowfen.example" });
  await page.goto("/people/portraits?look=Dropped");
  await choose(page.getByRole("combobox", { name: "Department" }), /^without a department/);
  const tile = page
    .getByRole("listitem")
    .filter({ has: page.getByRole("link", { name: "Joy Dropped" }) })
    .last();
  await expect(tile).toBeVisible();
  const bytes = (await readFile("demo/pictures/originals/freya-holm.jpg")).toString("base64");
  const dataTransfer = await page.evaluateHandle((encoded) => {
    const held = new DataTransfer();
    const letters = Uint8Array.from(atob(encoded), (letter) => letter.charCodeAt(0));
    held.items.add(new File([letters], "any name.jpg", { type: "image/jpeg" }));
    return held;
  }, bytes);
  await tile.dispatchEvent("drop", { dataTransfer });
  await expect(page.getByRole("application")).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  expect(readPictureDetail(await portraitOf(page, id))).not.toBeNull();
});
