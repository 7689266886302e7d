import { readFile } from "node:fs/promises";
import { expect, test } from "./test";
import { hostedPicture, startBlank } from "./bench";

test("pictures are uploaded several at once, and a bad file gets one clear sentence", async ({ page }) => {
  await page.goto("/pictures");
  const photo = await readFile("demo/pictures/originals/bram-uzel.jpg");
  await page.getByLabel("Upload pictures").setInputFiles([
    {
      name: "Cold store door.jpg",
      mimeType: "image/jpeg",
      buffer: Buffer.concat([photo, Buffer.from("another")]),
    },
    { name: "page.png", mimeType: "image/png", buffer: Buffer.from("<!doctype html><p>Not a picture</p>") },
    { name: "half.jpg", mimeType: "image/jpeg", buffer: photo.subarray(0, 30_000) },
    { name: "nothing.png", mimeType: "image/png", buffer: Buffer.alloc(0) },
  ]);
  await expect(page.getByText("Cold store door.jpg")).toBeVisible();
  await expect(page.getByRole("alert").filter({ hasText: "page.png" })).toHaveText(
    "“page.png” is a web page and not a picture: open the page, save the picture itself, and upload that.",
  );
  await expect(page.getByRole("alert").filter({ hasText: "half.jpg" })).toHaveText(
    "“half.jpg” is damaged or cut short: save or download it again.",
  );
  await expect(page.getByRole("alert").filter({ hasText: "nothing.png" })).toHaveText(
    "“nothing.png” is empty: choose the file again.",
  );
  await page.getByRole("button", { name: "Dismiss the message about page.png" }).click();
  await expect(page.getByText("is a web page and not a picture")).toBeHidden();
});

test("a hosted picture is served to anyone, for ever, with its own type", async ({ page, request }) => {
  const source = await hostedPicture(page);
  const answer = await request.get(source, { headers: { origin: "https://elsewhere.example" } });
  expect(answer.status()).toBe(200);
  expect(answer.headers()).toMatchObject({
    "content-type": "image/png",
    "cache-control": "public, max-age=31536000, immutable",
    "access-control-allow-origin": "*",
    "x-content-type-options": "nosniff",
  });
  expect((await answer.body()).subarray(1, 4).toString()).toBe("PNG");
  const etag = answer.headers().etag!;
  const known = await request.get(source, { headers: { "if-none-match": etag } });
  expect([known.status(), (await known.body()).length]).toEqual([304, 0]);
  const part = await request.get(source, { headers: { range: "bytes=1-3" } });
  expect([part.status(), await part.text()]).toEqual([206, "PNG"]);
  const described = await request.head(source);
  expect([described.status(), described.headers().etag, (await described.body()).length]).toEqual([
    200,
    etag,
    0,
  ]);
  expect((await request.get(source.replace(/[^/]+$/, "other.png"))).status()).toBe(404);
  expect((await request.get("/h/..%2f..%2fetc/passwd")).status()).toBe(404);
});

test("changes asked for by another site are turned away", async ({ request }) => {
  const answer = await request.post("/api/signatures", {
    headers: { origin: "https://elsewhere.example" },
    data: { kind: "blank", rows: 1, columns: 2 },
  });
  expect(answer.status()).toBe(403);
  const missing = await request.post("/api/signatures", { data: { kind: "blank", rows: 9, columns: 2 } });
  expect(missing.status()).toBe(400);
});

test("a picture dropped on the sheet is uploaded and placed in the cell", async ({ page }) => {
  await startBlank(page);
  await page.locator(".signature-editor td").first().click();
  const bytes = [...(await readFile("demo/pictures/originals/harrow-fen-logo.png"))];
  const transfer = await page.evaluateHandle((content) => {
    const data = new DataTransfer();
    data.items.add(new File([new Uint8Array(content)], "Our logo.png", { type: "image/png" }));
    return data;
  }, bytes);
  const target = (await page.locator(".signature-editor td").first().boundingBox())!;
  await page
    .locator(".signature-editor td")
    .first()
    .dispatchEvent("drop", { dataTransfer: transfer, clientX: target.x + 10, clientY: target.y + 6 });
  // The bytes are those of an original that is here already, so it keeps that name.
  const placed = page.locator(".signature-editor td").first().locator("img");
  await expect(placed).toHaveAttribute("alt", "Harrow Fen Seed Library");
  // The first column is 110 px wide, with 12 px of padding at the right.
  await expect(placed).toHaveAttribute("width", "98");
  await page.getByRole("textbox", { name: "Height", exact: true }).fill("nonsense");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "1 to 1200" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("textbox", { name: "Height", exact: true })).toHaveValue("35");
});
