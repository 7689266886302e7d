/** The wall of proofs: what each stand-in shows, how still it is, and what is said of it, checked against the frames. */
import type { Page } from "@playwright/test";
import { cell, choose, openCopy, shelfOf } from "./bench";
import { expect, test } from "./test";

async function openProof(page: Page, name: string): Promise<void> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}/proof`);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/^Still in \d+ of 28$/);
}

/** Where every picture and cell of the outer table stands in a frame, from the table's corner; px. */
const placesIn = (page: Page, standIn: string, mode: string) =>
  page
    .locator(`[data-stand-in="${standIn}"][data-mode="${mode}"] iframe`)
    .contentFrame()
    .locator("body")
    .evaluate((body) => {
      const table = body.querySelector("table")!.getBoundingClientRect();
      return [...body.querySelectorAll("img, td")].map((element) => {
        const { left, top } = element.getBoundingClientRect();
        return [left - table.left, top - table.top] as const;
      });
    });

const standIns = [
  "webmail-inline",
  "webmail-suite",
  "webmail-portal",
  "webmail-private",
  "webmail-budget",
  "desktop-document",
  "desktop-fixed",
  "desktop-browser",
  "desktop-open",
  "phone-inline-partial",
  "phone-inline-full",
  "phone-system",
  "phone-suite",
  "phone-maker",
];

test("every kind stands on the wall by light and in the dark, and what is called still stands where it was designed", async ({
  page,
}) => {
  await openProof(page, "Full");
  await expect(page.locator("[data-stand-in]")).toHaveCount(28);
  // Nothing is taken from this kind by light: it is the design.
  const design = await placesIn(page, "desktop-open", "light");
  expect(design.length).toBeGreaterThan(10);
  let still = 0;
  for (const standIn of standIns)
    for (const mode of ["light", "dark"]) {
      const card = page.locator(`[data-stand-in="${standIn}"][data-mode="${mode}"]`);
      const places = await placesIn(page, standIn, mode);
      expect(places, standIn).toHaveLength(design.length);
      const off = Math.max(
        ...places.map(([left, top], index) =>
          Math.max(Math.abs(left - design[index]![0]), Math.abs(top - design[index]![1])),
        ),
      );
      const isStill = (await card.locator("[data-still]").getAttribute("data-still")) === "true";
      if (isStill) still += 1;
      if (isStill) expect(off, `${standIn}, ${mode}`).toBeLessThanOrEqual(2);
      else await expect(card.locator("[data-still]"), `${standIn}, ${mode}`).toHaveText(/hard to read/);
    }
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(`Still in ${still} of 28`);
  const scripts = await page
    .locator("[data-stand-in] iframe")
    .evaluateAll((frames) => frames.map((frame) => frame.getAttribute("sandbox")));
  expect(new Set(scripts)).toEqual(new Set(["allow-same-origin"]));
});

test("text that dark mode makes hard to read is named, and has the contrast that is said", async ({
  page,
}) => {
  await openProof(page, "From last year");
  const card = page.locator('[data-stand-in="webmail-suite"][data-mode="dark"]');
  const address = card.locator("iframe").contentFrame().getByText("Cold Store Technician").last();
  const color = await address.evaluate((element) => getComputedStyle(element).color);
  await card.getByRole("button", { name: /Look closely/ }).focus();
  await page.keyboard.press("Enter");
  const dialog = page.getByRole("dialog", { name: "Webmail of an office suite, dark" });
  const said = await dialog
    .getByRole("list", { name: "What is not still" })
    .getByText(/Cold Store Technician/)
    .textContent();
  expect(said).toContain("Cold Store Technician");

  // WCAG 2.2, on black.
  const [red, green, blue] = color.match(/\d+/g)!.map((channel) => {
    const share = Number(channel) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  const ratio = (0.2126 * red! + 0.7152 * green! + 0.0722 * blue! + 0.05) / 0.05;
  expect(ratio).toBeLessThan(4.5);
  await expect(dialog.getByText(`has ${ratio.toFixed(1)}:1`).first()).toBeVisible();

  await dialog.getByRole("radio", { name: "Over the design" }).click();
  await expect(dialog.getByRole("slider")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(card.getByRole("button", { name: /Look closely/ })).toBeFocused();
});

test("the wall shows what is asked for, and nothing that was not measured is called still", async ({
  page,
}) => {
  await openProof(page, "Press desk");
  await page.getByRole("radio", { name: "Phone" }).click();
  await page.getByRole("radio", { name: "Dark" }).click();
  await expect(page.locator("[data-stand-in]")).toHaveCount(5);
  await page.getByRole("radio", { name: "Pictures blocked" }).click();
  await expect(page.locator("[data-still]")).toHaveCount(0);
  const blocked = page.locator('[data-stand-in="phone-maker"] iframe').contentFrame();
  await expect(blocked.locator("img")).toHaveCount(0);
  await page.getByRole("radio", { name: "Quoted three times" }).click();
  await expect(blocked.locator("blockquote")).toHaveCount(3);
  await page
    .getByRole("table", { name: "Where it drifts" })
    .getByRole("button", { name: /^Desktop mail, fixed tables, light/ })
    .click();
  await expect(page.getByRole("dialog", { name: "Desktop mail, fixed tables, light" })).toBeVisible();
});

test("black icons vanish in the dark, and it is said of each of them", async ({ page }) => {
  await openProof(page, "From last year");
  await page.getByRole("button", { name: /^Look closely: Webmail of an office suite, dark/ }).click();
  const list = page.getByRole("dialog").getByRole("list", { name: "What is not still" });
  await expect(list.getByText(/stands out in \d+ % of it/)).toHaveCount(4);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Webmail of an office suite, light: still/ }).click();
  await expect(page.getByRole("dialog")).toContainText("every part is where it was designed");
});

test("a mend makes it still in more, is measured again, and is taken back in one step", async ({ page }) => {
  await openProof(page, "From last year");
  const heading = page.getByRole("heading", { level: 1 });
  const unreadable = page.locator('[data-stand-in="phone-suite"][data-mode="dark"] [data-still]');
  await expect(unreadable).toHaveText(/hard to read/);
  await page.getByRole("button", { name: /^Use #[0-9A-F]{6}, which reads in both/ }).click();
  await expect(page.getByText(/^Still in \d+ (of 28, as before|→ \d+ of 28)\.$/)).toBeVisible();
  await expect(unreadable).not.toHaveText(/hard to read/);
  await expect(heading).toHaveText(/^Still in/);
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect(unreadable).toHaveText(/hard to read/);
});

test("the Bench measures when it comes to rest, and the Shelf and the line show what was measured of what is there", async ({
  page,
}) => {
  await openCopy(page, "Short, for answers");
  const address = page.url();
  const stations = page.getByRole("navigation", { name: "Stations" });
  await expect(stations).toContainText("still in 28 of 28", { timeout: 30_000 });

  // What is typed has not been measured; then it is, and kept.
  await cell(page, 1, 1).locator("p").last().click();
  await page.keyboard.press("End");
  await page.keyboard.type(" and sowing");
  await expect(stations).not.toContainText("still in");
  await expect(stations).toContainText("still in 28 of 28", { timeout: 30_000 });
  await page.goto(`${address}/install`);
  await expect(stations).toContainText("still in 28 of 28");
  await page.goto(shelfOf("Short, for answers, tried"));
  // Another test may have a copy of that name.
  const own = page.locator(`a[href$="${new URL(address).pathname}"]`).first();
  await expect(page.getByRole("listitem").filter({ has: own })).toContainText("still in 28 of 28");
});

test("the wall is tried with other details by a key, and nothing of that is kept", async ({ page }) => {
  await openProof(page, "Short, for answers");
  const heading = page.getByRole("heading", { level: 1 });
  const shown = page.locator('[data-stand-in="desktop-open"][data-mode="light"] iframe').contentFrame();
  await page.getByRole("radio", { name: "Its own details" }).focus();
  await page.keyboard.press("ArrowRight");
  // Focus moves a moment after the key.
  await expect(page.getByRole("radio", { name: "Longest" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(heading).toHaveText(/^Still in \d+ of 28 for .+/);
  await page.getByRole("radio", { name: "Right to left" }).click();
  await expect(shown.locator("body")).toContainText(/[\u0590-\u06ff]/);
  await expect(heading).toHaveText(/^Still in \d+ of 28 for [\u0590-\u06ff ]+$/);
  await page.getByRole("radio", { name: "Its own details" }).click();
  await expect(heading).toHaveText("Still in 28 of 28");
  await expect(shown.locator("body")).not.toContainText(/[\u0590-\u06ff]/);
});

test("the strip shows chosen proofs and the least still, and what is not still leads to its place on the sheet", async ({
  page,
}) => {
  await openCopy(page, "From last year");
  const strip = page.getByRole("region", { name: "Proofs" });
  await expect(strip.locator("iframe")).toHaveCount(4);
  const least = strip.getByRole("article").last();
  await expect(least.getByRole("combobox")).toContainText("Least still:");
  await expect(least.locator("[data-still=false]")).toContainText("hard to read");
  await least.locator("[data-still]").click();
  await page.getByRole("dialog").getByRole("button", { name: "“Cold Store Technician”" }).click();
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe("Cold Store Technician");
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeFocused();

  const first = strip.getByRole("article").first();
  await choose(first.getByRole("combobox"), "Phone maker's mail, dark");
  await expect(first).toHaveAttribute("data-stand-in", "phone-maker");
  await page.reload();
  await expect(first).toHaveAttribute("data-stand-in", "phone-maker");
});

test("one command makes what was built in a hurry still, shows both first, and is taken back in one step", async ({
  page,
}) => {
  await openCopy(page, "In a hurry");
  await page.goto(`${page.url()}/proof`);
  const heading = page.getByRole("heading", { level: 1 });
  await expect(heading).toHaveText(/^Still in ([0-9]|1[0-3]) of 28$/);
  await page.getByRole("button", { name: "Make it still" }).click();
  const dialog = page.getByRole("dialog", { name: "Make it still" });
  await expect(dialog.getByRole("region", { name: "Mended" })).toContainText(/still in 2[5-8] of 28/, {
    timeout: 60_000,
  });
  // Nothing is changed before it is kept.
  await expect(page.getByRole("button", { name: "Take the last change back" })).toHaveCount(0);
  await dialog.getByRole("button", { name: /^Keep \d mends?$/ }).click();
  await expect(heading).toHaveText(/^Still in 2[5-8] of 28$/);
  // What is measured is what is drawn: the logo stands on a plate now.
  const dark = page.locator('[data-stand-in="phone-suite"][data-mode="dark"]');
  await expect(dark.locator("[data-still=true]")).toBeVisible();
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect(heading).toHaveText(/^Still in ([0-9]|1[0-3]) of 28$/);
});

test("a finding is left as it is for a reason that is kept, counts no more, and is looked at again", async ({
  page,
}) => {
  await openCopy(page, "In a hurry");
  const address = `${page.url()}/proof`;
  await page.goto(address);
  const aside = page.getByRole("complementary", { name: "Findings" });
  const small = aside.locator('[data-finding="type-too-small"]');
  const counted = page.getByRole("heading", { name: /^\d+ findings?$/ });
  const count = async (): Promise<number> => Number.parseInt((await counted.textContent())!, 10);
  const left = aside.getByText("1 finding left as it is");
  // Some findings come with what is measured.
  const measured = (): Promise<void> =>
    expect(page.getByRole("heading", { level: 1 })).toHaveText(/^Still in \d+ of 28$/);
  await measured();
  await small.getByRole("button", { name: "Leave it" }).click();
  await page.keyboard.type("The foundation asks for it");
  await page.keyboard.press("Enter");
  await expect(left).toBeVisible();
  await expect(small.getByRole("button", { name: "Leave it" })).toHaveCount(0);
  await page.goto(address);
  await measured();
  await left.click();
  await expect(small).toContainText("Left as it is: The foundation asks for it");
  const open = await count();
  await small.getByRole("button", { name: "Look at it again" }).click();
  await expect(left).toHaveCount(0);
  await expect.poll(count).toBe(open + 1);
});

test("what will go wrong stands in the margin of the Bench, leads to its place, and is put right there", async ({
  page,
}) => {
  await openCopy(page, "From last year");
  const mark = page.getByRole("button", { name: /^Row 1: \d+ findings$/ });
  await mark.click();
  const panel = page.getByRole("dialog", { name: "Row 1, findings" });
  const empty = panel.locator('[data-finding="empty-lines"]');
  await empty.getByRole("button", { name: "Put a spacer of 18 px there" }).click();
  await expect(empty).toHaveCount(0);
  await expect(page.locator(".signature-editor .ProseMirror [data-still-line^=spacer]")).toHaveCount(1);
  await panel
    .locator('[data-finding="text-hard-to-read-in-the-dark"], [data-finding="link-unreachable"]')
    .first()
    .getByRole("button", { name: /^row 1, cell 2/ })
    .click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeFocused();
  expect(await page.evaluate(() => String(getSelection()))).toBe("harrowfen.example/cold-store");
  await page.keyboard.press("Control+z");
  await expect(page.locator(".signature-editor .ProseMirror [data-still-line^=spacer]")).toHaveCount(0);
});

test("a part that is pointed at is marked in every frame, and what drifts leads to its place on the Bench", async ({
  page,
}) => {
  await openProof(page, "From last year");
  const name = (standIn: string, mode: string) =>
    page
      .locator(`[data-stand-in="${standIn}"][data-mode="${mode}"] iframe`)
      .contentFrame()
      .getByText("Bram Üzel", { exact: true });
  const card = page.locator('[data-stand-in="webmail-suite"][data-mode="dark"]');
  const frame = card.locator("iframe");
  // Boxes of a frame are drawn smaller by a transform.
  const [box, inside] = [
    (await frame.boundingBox())!,
    await name("webmail-suite", "dark").evaluate((text) => {
      const { left, top, width, height } = text.getBoundingClientRect();
      return { x: left + width / 2, y: top + height / 2, of: document.documentElement.clientWidth };
    }),
  ];
  const scale = box.width / (await frame.evaluate((element) => (element as HTMLElement).offsetWidth));
  await page.mouse.move(box.x + inside.x * scale, box.y + inside.y * scale);
  for (const [standIn, mode] of [
    ["webmail-suite", "dark"],
    ["desktop-document", "light"],
    ["phone-maker", "dark"],
  ] as const)
    await expect(name(standIn, mode)).toHaveCSS("outline-style", "solid");
  await page.mouse.move(5, 5);
  await expect(name("desktop-document", "light")).toHaveCSS("outline-style", "none");

  await page.getByRole("region", { name: "What drifts" }).getByRole("link", { name: "“Bram Üzel”" }).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeFocused();
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe("Bram Üzel");
});

test("the report is one file that says what the page says, and loads nothing", async ({ page }, info) => {
  await openProof(page, "Press desk");
  const stillness = (await page.getByRole("heading", { level: 1 }).textContent())!;
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save a report" }).click();
  const report = await downloading;
  expect(report.suggestedFilename()).toBe("press-desk-proof.html");
  const file = info.outputPath("report.html");
  await report.saveAs(file);
  const opened = await page.context().newPage();
  const asked: string[] = [];
  opened.on("request", (request) => asked.push(request.url()));
  await opened.goto(`file://${file}`);
  await expect(opened.getByRole("heading", { level: 1 })).toHaveText("Press desk");
  await expect(opened.locator("body")).toContainText(`${stillness}.`);
  await expect(opened.locator(".proof")).toHaveCount(28);
  // Each proof is drawn, with its pictures in it.
  await expect(opened.locator(".proof img").first()).toHaveJSProperty("complete", true);
  expect(
    await opened
      .locator(".proof img")
      .first()
      .evaluate((image) => (image as HTMLImageElement).naturalWidth),
  ).toBeGreaterThan(0);
  expect(asked.filter((address) => !/^(file|data):/.test(address))).toEqual([]);
});

test("how it reads without looking: as plain text, as a notification, blocked and read out", async ({
  page,
}) => {
  await openProof(page, "Full");
  await page.getByRole("button", { name: "Without looking" }).click();
  await expect(page.getByRole("region", { name: "As plain text" })).toContainText("tamsin@harrowfen.example");
  await expect(page.locator("[data-notification]")).toContainText(/^Tamsin Okafor /);
  await expect(page.getByRole("list").filter({ hasText: "Harrow Fen on Plotline" })).toBeVisible();
  await page.getByRole("button", { name: "Back to the wall" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/^Still in \d+ of 28$/);
});

test("the wall is tried without the fonts and on finer displays, and says so where the number stands", async ({
  page,
}) => {
  await openProof(page, "Full");
  const heading = page.getByRole("heading", { level: 1 });
  await expect(heading).toHaveText("Still in 28 of 28");
  await page.getByRole("radio", { name: "The widest face" }).click();
  await expect(heading).toHaveText(/^Still in \d of 28 without its fonts$/);
  const card = page.locator('[data-stand-in="webmail-inline"][data-mode="light"]');
  await expect(card).toContainText("Arial is the widest sans-serif");
  await expect(card.locator("[data-still=false]")).toContainText("wrapped");
  await page.getByRole("radio", { name: "Its fonts" }).click();
  await page.getByRole("radio", { name: "125 %" }).click();
  await expect(heading).toHaveText(/^Still in \d+ of 28 at 125 %$/);
  // Only what scales text and not attributes differs.
  await expect(card.locator("[data-still=true]")).toBeVisible();
});
