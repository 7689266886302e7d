import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { addressOf, deskPath, endpoints, type Letters } from "@/contract";
import { deskClientIds, deskClients, type DeskClientId } from "@/core/desks";
import { openCopy, picturesOf, proofFrame, secretOf, shelfOf } from "./bench";
import { expect, test } from "./test";

const signaturePath = async (page: Page, name: string): Promise<string> => {
  await page.goto(shelfOf(name));
  return (await page.getByRole("link", { name, exact: true }).getAttribute("href"))!;
};

type View = readonly [name: string, open: (page: Page) => Promise<string>];

/** A place of a client of the Mailroom, with a letter in the list. */
const atDesk = (client: DeskClientId, place: "letters" | "letter" | "write" | "settings"): View => [
  `${deskClients[client].name}, ${place}`,
  async (page) => {
    const desk = { person: "ada-quill", client };
    await page.request.post(addressOf(endpoints.sendLetter, desk), {
      data: {
        from: "ada@harrowfen.example",
        to: ["ada@harrowfen.example"],
        cc: [],
        subject: "To myself",
        html: "<div>The second tray came up on Tuesday.</div>",
        about: null,
        draft: null,
      },
    });
    const answer = await page.request.get(addressOf(endpoints.listLetters, desk));
    const { letters } = (await answer.json()) as Letters;
    const places = {
      letters: "",
      letter: `letters/${letters[0]?.id ?? ""}`,
      write: "write",
      settings: "settings",
    } as const;
    return deskPath(desk.person, client, places[place]);
  },
];

const views: readonly View[] = [
  ["Shelf", async () => "/"],
  ["Start", async () => "/start"],
  ["Pictures", async () => "/pictures"],
  ["Loops", async () => "/pictures/loops"],
  ["A new loop", async () => "/pictures/loops/new"],
  ["Addresses of pictures", async () => "/pictures/addresses"],
  ["Unused pictures", async () => "/pictures/unused"],
  [
    "Cutting a picture",
    async (page) => {
      await page.goto(picturesOf("bram-uzel.jpg"));
      return (await page.getByRole("link", { name: "Cut bram-uzel.jpg" }).getAttribute("href"))!;
    },
  ],
  ["People", async () => "/people"],
  ["A person", async () => "/people/tamsin-okafor"],
  ["Portraits", async () => "/people/portraits"],
  ["Who gets what", async () => "/people/signatures"],
  ["Pages for people", async () => "/people/pages"],
  ["A page of one's own", async (page) => `/mine/${await secretOf(page, "ada-quill")}`],
  ["A page that is not there", async () => "/mine/nothing"],
  ["Bringing in a list", async () => "/people/bring-in"],
  ["Mailroom", async () => "/mailroom"],
  ["Bench", (page) => signaturePath(page, "Full")],
  ["Pictures of a signature", async (page) => `${await signaturePath(page, "From last year")}/pictures`],
  ["Links", async (page) => `${await signaturePath(page, "From last year")}/links`],
  ["Proof", async (page) => `${await signaturePath(page, "From last year")}/proof`],
  ["Install", async (page) => `${await signaturePath(page, "Full")}/install`],
  ["Installs", async () => "/installs"],
  [
    "An install",
    async (page) => {
      const id = (await signaturePath(page, "Full")).split("/")[2] ?? "";
      const made = await page.request.post(addressOf(endpoints.recordInstall, { id }), {
        data: {
          revision: 1,
          form: "full",
          kind: "webmail",
          account: "the Front Desk's",
          use: "both",
          by: "",
          note: "",
        },
      });
      return `/installs/${((await made.json()) as { id: string }).id}`;
    },
  ],
  ...deskClientIds.flatMap((client) =>
    (["letters", "letter", "write", "settings"] as const).map((place) => atDesk(client, place)),
  ),
  ["A demo page", async () => "/mailroom/web/harrowfen.example/visit"],
];

for (const [name, open] of views)
  test(`${name}: axe finds nothing in light or dark, and nothing is wider than the window`, async ({
    page,
  }) => {
    const errors: string[] = [];
    page.on("pageerror", (error) => errors.push(error.message));
    page.on("console", (message) => {
      if (/content security policy/i.test(message.text())) errors.push(message.text());
    });
    await page.goto(await open(page));
    // Loaded, with its fonts, and on the Bench with the editor on the sheet.
    await page.evaluate(() => document.fonts.ready);
    await page.waitForFunction(
      () => !document.querySelector(".signature-editor") || document.querySelector(".signature-editor p"),
    );
    // What is drawn in a frame is the user's signature, and is judged by the findings.
    const axe = () => new AxeBuilder({ page }).exclude("iframe").exclude(".signature-editor");
    const light = await axe().analyze();
    // Without motion, so that no colour is met on its way from light to dark.
    await page.emulateMedia({ colorScheme: "dark", reducedMotion: "reduce" });
    const dark = await axe().withRules(["color-contrast", "link-in-text-block"]).analyze();
    const violations = [...light.violations, ...dark.violations];
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(" ")}`)).toEqual(
      [],
    );
    for (const width of [1280, 900]) {
      await page.setViewportSize({ width, height: 800 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    }
    expect(errors).toEqual([]);
  });

test("a name as long as one may be leaves everything beside it in view, on every station", async ({
  page,
}) => {
  await openCopy(page, "In a hurry");
  const name = page.getByRole("textbox", { name: "Name of the signature" });
  await name.fill("The one that everybody at the Front Desk has from March until the end of October");
  await name.press("Enter");
  await page.setViewportSize({ width: 900, height: 800 });
  for (const station of ["Build", "Pictures", "Links", "Proof", "Install"]) {
    await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: station }).click();
    await expect(page.getByRole("combobox", { name: "drawn for" })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(900);
  }
});

test("the sheet is true: cells and pictures on the Bench are as large as in what is compiled", async ({
  page,
}) => {
  for (const name of ["Full", "Press desk", "Right to left", "From last year"]) {
    await page.goto(await signaturePath(page, name));
    const compiled = proofFrame(page, "webmail-inline").contentFrame();
    await expect(compiled.locator("table").first()).toBeVisible();
    // The frame is drawn smaller on the strip by a transform, which the boxes inside it do not see.
    const boxes = (elements: Element[]): string[] =>
      elements.map((element) => {
        const { width, height } = element.getBoundingClientRect();
        return `${element.tagName} ${Math.round(width)} × ${Math.round(height)}`;
      });
    // One that is written from right to left is sent in an element that says so.
    const selector = (root: string): string =>
      `:is(${root}, ${root} > [dir]) > table > tbody > tr, ${root} img[alt]:not([alt=""])`;
    await expect
      .poll(() => page.locator(selector(".signature-editor .ProseMirror")).evaluateAll(boxes))
      .toEqual(await compiled.locator(selector("body")).evaluateAll(boxes));
  }
});

test("proofs can run nothing: sandboxed without scripts, with a policy of their own", async ({ page }) => {
  await page.goto(await signaturePath(page, "Full"));
  for (const frame of await page.locator("iframe").all()) {
    expect(await frame.getAttribute("sandbox")).toBe("allow-same-origin");
    const policy = frame.contentFrame().locator('meta[http-equiv="Content-Security-Policy"]');
    expect(await policy.getAttribute("content")).toMatch(
      /^default-src 'none'; img-src [^;]+; style-src 'self' 'unsafe-inline'; font-src 'self'$/,
    );
  }
  const answer = await page.request.get("/");
  expect(answer.headers()["content-security-policy"]).toMatch(
    /script-src 'self' 'nonce-[^']+' 'strict-dynamic';/,
  );
});

test("the proof page says what each stand-in changed, in light and dark", async ({ page }) => {
  await page.goto(`${await signaturePath(page, "From last year")}/proof`);
  const desktop = page.locator('[data-stand-in="desktop-document"]');
  await page.getByRole("radio", { name: "Light" }).click();
  await expect(desktop).toContainText("still");
  await expect(page.getByText("Stand-ins are simulations")).toBeVisible();
  await page.getByRole("radio", { name: "Dark" }).click();
  await expect(desktop.locator("iframe").contentFrame().locator("body > div")).toHaveCSS(
    "background-color",
    "rgb(0, 0, 0)",
  );
  await expect(page.getByRole("complementary", { name: "Findings" })).toContainText(
    "has its beginning twice",
  );
});

test("the source that is installed is what the compiler writes", async ({ page }) => {
  await page.goto(`${await signaturePath(page, "Full")}/install`);
  await page.getByRole("button", { name: "Copy the source" }).click();
  const source = await page.evaluate(() => navigator.clipboard.readText());
  expect(source).toMatch(/^<table role="presentation"/);
  await page.getByRole("button", { name: "Show the source" }).click();
  await expect(page.getByLabel("Source", { exact: true })).toHaveText(source);
});

test("the stand-in's settings refuse what is too long, and keep what was there", async ({ page }) => {
  await page.goto("/mailroom/otto-lind/malthouse/settings");
  const box = page.getByRole("textbox", { name: "What goes under your letters" });
  await box.click();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text/html", `<p class="x" onclick="x">${"word ".repeat(2100)}</p><script>x</script>`);
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(box).not.toHaveText("");
  expect(await box.innerHTML()).not.toMatch(/class=|onclick|<script/);
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("status")).toContainText("and 10,000 is the most. Nothing was changed");
});
