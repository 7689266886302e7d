import { execFileSync } from "node:child_process";
import { mkdtemp, readFile, writeFile } from "node:fs/promises";
import type { AddressInfo } from "node:net";
import os from "node:os";
import path from "node:path";
import AxeBuilder from "@axe-core/playwright";
import { decode } from "fast-png";
import { unzipSync } from "fflate";
import jsQR from "jsqr";
import { generate } from "selfsigned";
import { SMTPServer } from "smtp-server";
import type { Page } from "@playwright/test";
import { readBinaryPlist, writeBinaryPlist } from "@/core/plist";
import { choose, savedDocument, shelfOf } from "./bench";
import { expect, test } from "./test";

async function openInstall(page: Page, name = "Full"): Promise<void> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}/install`);
}

/** The kit of the kind that is shown. */
async function downloadKit(page: Page): Promise<{ name: string; bytes: Uint8Array }> {
  const downloading = page.waitForEvent("download");
  await page.getByRole("link", { name: /^Download / }).click();
  const download = await downloading;
  return { name: download.suggestedFilename(), bytes: new Uint8Array(await readFile(await download.path())) };
}

test("each kind of client has its steps and its kit, and pictures are carried or stay at their addresses", async ({
  page,
}) => {
  await openInstall(page);
  const kinds = page.getByRole("radiogroup", { name: "Kind of client" });
  await kinds.getByRole("radio", { name: "Desktop, document engine" }).click();
  const section = page.getByRole("region", { name: "Desktop, document engine" });
  await expect(section.getByRole("listitem")).toHaveCount(5);
  const kit = await downloadKit(page);
  expect(kit.name).toBe("full-for-desktop-document.zip");
  const files = unzipSync(kit.bytes);
  const names = Object.keys(files);
  expect(names.slice(0, 3)).toEqual(["full.htm", "full.rtf", "full.txt"]);
  expect(names.filter((name) => /^full-pictures\/[a-z0-9-]+\.png$/.test(name))).toHaveLength(7);
  expect([...(files["full-pictures/tamsin-okafor.png"] ?? [])].slice(1, 4)).toEqual([80, 78, 71]);

  await section.getByRole("radio", { name: "Pictures at their addresses" }).click();
  expect(Object.keys(unzipSync((await downloadKit(page)).bytes))).toEqual([
    "full.htm",
    "full.rtf",
    "full.txt",
  ]);

  await kinds.getByRole("radio", { name: "Desktop, browser engine" }).click();
  const archive = await downloadKit(page);
  expect(archive.name).toBe("full.webarchive");
  expect(new TextDecoder("latin1").decode(archive.bytes.slice(0, 8))).toBe("bplist00");

  // By key as well.
  await kinds.getByRole("radio", { name: "Desktop, browser engine" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(kinds.getByRole("radio", { name: "Desktop, independent" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Desktop, independent" })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
});

test("the file that holds everything begins the very signature again, its pictures taken in", async ({
  page,
}) => {
  await openInstall(page);
  const own = JSON.stringify(await savedDocument(page));
  await page.getByRole("radio", { name: "Desktop, independent" }).click();
  const { name, bytes } = await downloadKit(page);
  await page.goto("/start");
  await page
    .locator("input[type=file]")
    .setInputFiles({ name, mimeType: "text/html", buffer: Buffer.from(bytes) });
  await expect(page.getByRole("heading", { name: "What you have already" })).toBeVisible();
  await page.getByRole("button", { name: "Start with it" }).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
  const again = JSON.stringify(await savedDocument(page));
  const shape = (document: string): string => document.replace(/"source":"[^"]*"/g, '"source":""');
  expect(shape(again)).toBe(shape(own));
});

test("the command line writes the same files, byte for byte", async ({ page, site }, { parallelIndex }) => {
  await openInstall(page);
  const folder = await mkdtemp(path.join(os.tmpdir(), "kit-"));
  const file = path.join(folder, "full.json");
  await writeFile(file, JSON.stringify(await savedDocument(page)));
  const [, id] = /signatures\/([^/]+)/.exec(page.url()) ?? [];
  for (const kind of ["desktop-document", "anything", "webmail"]) {
    const answer = await page.request.get(`/api/signatures/${id ?? ""}/kits/${kind}`);
    const served = unzipSync(await answer.body());
    const out = path.join(folder, kind);
    const written = execFileSync(
      process.execPath,
      [
        ...["dist/still-line.mjs", "kit", file, "--for", kind, "--out", out, "--name", "Full"],
        ...["--person", "demo/people/tamsin-okafor.json", "--base", site.address],
        ...["--data", `.still-line/e2e-${parallelIndex}`],
      ],
      { encoding: "utf8" },
    );
    expect(
      written
        .trim()
        .split("\n")
        .map((each) => path.relative(out, each)),
      kind,
    ).toEqual(Object.keys(served));
    for (const [name, bytes] of Object.entries(served))
      expect(Buffer.compare(await readFile(path.join(out, name)), Buffer.from(bytes)), name).toBe(0);
  }
});

test("the signature is put into the page that a program made, in its place and beside its pictures", async ({
  page,
}) => {
  await openInstall(page);
  await page.getByRole("radio", { name: "Desktop, document engine" }).click();
  const room = page.getByRole("region", { name: "Into a file that the program made" });
  const before = "<p>Kind regards,</p>\r\n<p>put it <b>here</b></p>\r\n";
  const after = "<p>Sent from the caf\u00e9, put it here</p>\r\n";
  const own = Buffer.from(`<meta charset=windows-1252>\r\n${before}${after}`, "latin1");
  const bring = (name: string, buffer: Buffer): Promise<void> =>
    room.locator("input[type=file]").setInputFiles({ name, mimeType: "application/octet-stream", buffer });

  await bring("holiday.png", Buffer.from([137, 80, 78, 71, 0, 1]));
  await expect(room.getByRole("alert")).toContainText(
    "holiday.png: This is no file that a mail client keeps",
  );
  await bring("Draft.htm", own);
  await expect(room.getByText("Draft.htm: a page in windows-1252")).toBeVisible();
  const words = room.getByRole("textbox", { name: "Words that make room" });
  await expect(words).toBeFocused();
  await page.keyboard.type("put it here");
  await expect(room.getByRole("alert")).toContainText("stand in the file 2 times");
  const save = room.getByRole("button", { name: "Save it with the signature" });
  await expect(save).toBeDisabled();
  // Pointed at in the file as it is drawn.
  const drawn = room.getByRole("img", { name: "The file as it is" });
  await expect(drawn).toBeVisible();
  const box = await drawn.frameLocator("iframe").getByText("here", { exact: true }).boundingBox();
  await page.mouse.click((box?.x ?? 0) + 3, (box?.y ?? 0) + 3);
  await expect(room.getByRole("radio", { name: "put it here", exact: true })).toBeChecked();
  await expect(words).toHaveValue("");
  const downloading = page.waitForEvent("download");
  await save.click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("Draft.htm.zip");
  const files = unzipSync(new Uint8Array(await readFile(await download.path())));
  const written = Buffer.from(files["Draft.htm"] ?? []).toString("latin1");
  expect(written).toMatch(
    /^<meta charset=windows-1252>\r\n<p>Kind regards,<\/p>\r\n<table .*<\/table>\r\n<p>Sent from the caf\u00e9, put it here<\/p>\r\n$/s,
  );
  expect(Object.keys(files)).toContain("Draft pictures/tamsin-okafor.png");
  expect(written).toContain('src="Draft%20pictures/tamsin-okafor.png"');
  await expect(room.getByText("bytes before the signature")).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
});

test("the signature is put into an archive under a code for a name, by keys alone", async ({ page }) => {
  await openInstall(page);
  await page.getByRole("radio", { name: "Desktop, browser engine" }).click();
  const room = page.getByRole("region", { name: "Into a file that the program made" });
  const bytes = writeBinaryPlist({
    WebMainResource: {
      WebResourceData: new TextEncoder().encode("<body><div>Draft</div></body>"),
      WebResourceURL: "about:blank",
    },
    Identifier: "4B-21",
  });
  await room
    .locator("input[type=file]")
    .setInputFiles({ name: "4B-21.sig", mimeType: "application/octet-stream", buffer: Buffer.from(bytes) });
  await expect(room.getByRole("textbox", { name: "Words that make room" })).toBeFocused();
  await page.keyboard.press("Tab");
  const whole = room.getByRole("radio", { name: "Everything in it" });
  await expect(whole).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await expect(room.getByRole("radio", { name: "Draft" })).toBeChecked();
  const downloading = page.waitForEvent("download");
  await room.getByRole("button", { name: "Save it with the signature" }).focus();
  await page.keyboard.press("Enter");
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("4B-21.sig");
  const saved = readBinaryPlist(new Uint8Array(await readFile(await download.path()))) as {
    WebMainResource: { WebResourceData: Uint8Array };
    WebSubresources: readonly object[];
  };
  expect(saved).toMatchObject({ Identifier: "4B-21" });
  expect(new TextDecoder().decode(saved.WebMainResource.WebResourceData)).toMatch(
    /^<body><div><table .*<\/table><\/div><\/body>$/s,
  );
  expect(saved.WebSubresources).toHaveLength(7);
});

test("a code to scan is drawn of any size, and holds the card or the page", async ({ page }) => {
  await openInstall(page);
  await page.getByRole("radio", { name: "Anything else" }).click();
  const room = page.getByRole("region", { name: "A code to scan" });
  await expect(room.getByRole("img", { name: "Code of the contact card" })).toBeVisible();
  const size = room.getByRole("textbox", { name: "Size in px" });
  await size.fill("12");
  await expect(room.getByRole("alert")).toContainText("from 100 to 2,000");
  await size.fill("320");
  await room.getByRole("radio", { name: "Own page" }).click();
  const downloading = page.waitForEvent("download");
  await room.getByRole("link", { name: "PNG" }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("tamsin-okafor-page-code-320.png");
  const { width, height, data } = decode(await readFile(await download.path()));
  expect([width, height]).toEqual([320, 320]);
  const pixels = Uint8ClampedArray.from({ length: width * height * 4 }, (_unused, at) => data[at >> 2] ?? 0);
  expect(jsQR(pixels, width, height)?.data).toBe("https://harrowfen.example");
});

test("installs are recorded, told to be out of date, compared and brought up to date", async ({ page }) => {
  await openInstall(page);
  const path = new URL(page.url()).pathname;
  const list = page.getByRole("region", { name: "Where it is" });
  await expect(list).toContainText("Nowhere yet");
  await page.getByRole("textbox", { name: "Installed by" }).fill("Jo Li");
  await page.getByRole("button", { name: "It is installed" }).click();
  await expect(list).toContainText("1 install, all up to date");
  await expect(list).toContainText("Version 1 for Tamsin Okafor, by Jo Li");

  // By keys, for another kind, under new letters.
  const kinds = page.getByRole("radiogroup", { name: "Kind of client" });
  await kinds.getByRole("radio", { name: "Desktop, independent" }).click();
  await page.getByRole("textbox", { name: "Account or machine" }).fill("front desk");
  await page.keyboard.press("Enter");
  await expect(list).toContainText("2 installs, all up to date");
  await list.getByText("Did it go right?").first().click();
  const box = list.getByRole("checkbox", { name: /^All 7 pictures show/ });
  const kept = page.waitForResponse((answer) => answer.url().endsWith("/ticks") && answer.ok());
  await box.check();
  await kept;
  await expect(list.getByText(/1 of \d+ looked at/)).toBeVisible();
  await page.reload();
  await expect(list.getByText(/1 of \d+ looked at/)).toBeVisible();

  // The signature changes: a colour of its text.
  const document = await savedDocument(page);
  const changed = JSON.parse(JSON.stringify(document)) as { attrs: { textColor: string } };
  changed.attrs.textColor = "#222222";
  const id = /signatures\/([^/]+)/.exec(path)?.[1] ?? "";
  const saved = await page.request.put(`/api/signatures/${id}`, { data: { document: changed, revision: 1 } });
  expect(saved.ok()).toBe(true);
  await page.goto("/");
  await page.getByRole("link", { name: "2 installs out of date" }).click();
  await expect(list).toContainText("2 installs of 2 out of date");
  await expect(list.getByText("The colour of its text is “#222222” now").first()).toBeVisible();
  await list.getByRole("button", { name: /^Compare front desk/ }).click();
  const dialog = page.getByRole("dialog", { name: "What is installed, and what should be" });
  await expect(dialog.getByRole("img", { name: "As it is now" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(list.getByRole("button", { name: /^Compare front desk/ })).toBeFocused();

  await list.getByRole("button", { name: "Prepare the update" }).first().click();
  await expect(page.getByRole("heading", { name: "Desktop, independent", exact: true })).toBeFocused();
  expect((await downloadKit(page)).name).toBe("full.html");
  await list.getByRole("button", { name: "It is updated" }).first().click();
  await expect(list).toContainText("1 install of 2 out of date");
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);

  // By whose they are, and for the owner of one.
  await page.goto("/installs");
  const own = page.getByRole("region", { name: "Tamsin Okafor" });
  await expect(own.getByRole("listitem")).toHaveCount(2);
  await page.getByRole("radio", { name: "Out of date" }).click();
  await expect(own.getByRole("listitem")).toHaveCount(1);
  await own.getByRole("link").click();
  await expect(page.getByRole("heading", { name: "Your signature is out of date" })).toBeVisible();
  await page.getByRole("link", { name: "Update it, step by step" }).click();
  await expect(page.getByRole("heading", { name: "Webmail", exact: true })).toBeVisible();
  await list.getByRole("button", { name: /^Remove the record of tamsin/ }).click();
  await expect(list).toContainText("1 install, all up to date");
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(list).toContainText("1 install of 2 out of date");
});

test("a mail server is tried before it is kept, and nothing is sent until then", async ({ page }) => {
  await openInstall(page);
  await page.getByRole("radio", { name: "Phone" }).click();
  const room = page.getByRole("region", { name: "Send it to yourself" });
  await expect(room).toContainText("Nothing is sent until one is set up.");
  await expect(room.getByRole("button", { name: "Send it", exact: true })).toHaveCount(0);
  const own = await generate([{ name: "commonName", value: "localhost" }]);
  const server = new SMTPServer({ key: own.private, cert: own.cert, secure: true });
  server.on("error", () => undefined);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.server.address() as AddressInfo;
  await room.getByRole("button", { name: "Set up a mail server" }).click();
  const dialog = page.getByRole("dialog", { name: "A mail server of your own" });
  await dialog.getByRole("radio", { name: "STARTTLS", exact: true }).click();
  await expect(dialog.getByRole("textbox", { name: "Port" })).toHaveValue("587");
  await dialog.getByRole("radio", { name: "TLS", exact: true }).click();
  await expect(dialog.getByRole("textbox", { name: "Port" })).toHaveValue("465");
  const keep = dialog.getByRole("button", { name: "Try it, and keep it" });
  await keep.click();
  await expect(dialog.getByText("Name the server.")).toBeVisible();
  await dialog.getByRole("textbox", { name: "Server" }).fill("localhost");
  await dialog.getByRole("textbox", { name: "Port" }).fill(String(port));
  await dialog.getByRole("textbox", { name: "User" }).fill("tamsin");
  await dialog.getByLabel("Password").fill("fen-seeds");
  await page.keyboard.press("Enter");
  // Nobody vouches for the certificate of this one.
  await expect(dialog.getByRole("alert")).toContainText("The certificate of localhost cannot be trusted");
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
  await page.keyboard.press("Escape");
  await expect(room).toContainText("Nothing is sent until one is set up.");
  await expect(room.getByRole("button", { name: "Set up a mail server" })).toBeFocused();
  await new Promise<void>((resolve) => server.close(() => resolve()));
});

test("a colleague gets one page with the steps and a signature of their own, to print or to follow", async ({
  page,
}) => {
  await openInstall(page);
  await page.getByRole("radio", { name: "Desktop, independent" }).click();
  const room = page.getByRole("region", { name: "For a colleague, or on paper" });
  await choose(room.getByRole("combobox", { name: "Whose details" }), "Bram Üzel");
  await room.getByRole("link", { name: "Open the page" }).click();
  await expect(page.getByRole("heading", { name: "A signature for Bram Üzel" })).toBeVisible();
  await expect(page.getByRole("img", { name: /^The settings of an account/ })).toBeVisible();
  const { name, bytes } = await downloadKit(page);
  expect(name).toBe("full.html");
  const html = new TextDecoder().decode(bytes);
  expect([html.includes("bram@harrowfen.example"), html.includes("tamsin@harrowfen.example")]).toEqual([
    true,
    false,
  ]);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("link", { name: /^Download/ })).toBeHidden();
  await expect(page.getByText("The files, and what can be copied, are at http")).toBeVisible();
  await page.emulateMedia({ media: "screen" });
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
  await page.goto(page.url().replace(/person=.*/, "person=nobody"));
  await expect(page.getByText("There is nothing at this address")).toBeVisible();
});

test("what is copied as it looks keeps its boxes when it is pasted where one can write", async ({ page }) => {
  await openInstall(page);
  await page.getByRole("button", { name: "Copy the signature" }).click();
  await expect(page.getByText("Copied as it looks.")).toBeVisible();
  /** Boxes of cells, pictures and links, from the corner of the first table; px. */
  const boxes = (selector: string): Promise<readonly (readonly (string | number)[])[]> =>
    page.evaluate((wanted) => {
      const area = document.querySelector(wanted);
      const first = area?.querySelector("table")?.getBoundingClientRect();
      return [...(area?.querySelectorAll("td,img,a") ?? [])].map((element) => {
        const { left, top, width, height } = element.getBoundingClientRect();
        const color = element.tagName === "A" ? getComputedStyle(element).color : "";
        const [x, y] = [left - (first?.left ?? 0), top - (first?.top ?? 0)];
        return [element.tagName, ...[x, y, width, height].map((each) => Math.round(each * 4) / 4), color];
      });
    }, selector);
  const copied = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    return item ? (await item.getType("text/html")).text() : "";
  });
  for (const style of ["", "font:16px Georgia,serif;color:#993333;line-height:2", "direction:rtl"]) {
    await page.goto("about:blank");
    await page.setContent(
      `<div id="built" style="width:700px"></div><div id="area" contenteditable="true" aria-label="Box" style="width:700px;min-height:40px;${style}"></div>`,
    );
    await page.evaluate((html) => {
      const built = document.querySelector("#built");
      if (built) built.innerHTML = html.replace(/^[^]*<!--StartFragment-->|<!--EndFragment-->[^]*$/g, "");
    }, copied);
    await page.locator("#area").focus();
    await page.keyboard.press("ControlOrMeta+v");
    await expect(page.locator("#area img")).toHaveCount(7);
    await page.waitForFunction(() => [...document.images].every(({ complete }) => complete));
    if (style !== "direction:rtl") expect(await boxes("#area"), style).toEqual(await boxes("#built"));
    else expect((await boxes("#area")).length).toBe((await boxes("#built")).length);
  }
});

test("kits for a department are one zip with a folder for each person, each with their own details", async ({
  page,
}) => {
  await openInstall(page, "Short, for answers");
  const everybody = page.getByRole("region", { name: "For everybody" });
  await choose(everybody.getByRole("combobox", { name: "For whom" }), /^Cold Store \(/);
  await everybody.getByRole("button", { name: "Make the kits" }).click();
  await expect(everybody.getByText(/^\d+ kits made\.$/)).toBeVisible();
  const download = page.waitForEvent("download");
  await everybody.getByRole("link", { name: /^Download the zip/ }).click();
  const files = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const bram = Object.entries(files).find(([name]) => /^Bram Üzel\/.*\.html$/.test(name));
  expect(new TextDecoder().decode(bram?.[1])).toContain("Cold Store Technician");
  expect(Object.keys(files).some((name) => name.startsWith("Tamsin Okafor/"))).toBe(false);
});
