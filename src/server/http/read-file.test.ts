import { describe, expect, it } from "vitest";
import { readFile } from "./read-file";

const upload = (form: FormData, length: number | null): Request =>
  new Request("http://127.0.0.1:4310/api/x", {
    method: "POST",
    body: form,
    headers: length === null ? {} : { "content-length": String(length) },
  });

const formWith = (value: FormDataEntryValue): FormData => {
  const form = new FormData();
  form.set("file", value);
  return form;
};

describe("an uploaded file", () => {
  it("is read with its name", async () => {
    const { bytes, name } = await readFile(upload(formWith(new File(["abc"], "a b.png")), 300), 1024);
    expect([Buffer.from(bytes).toString(), name]).toEqual(["abc", "a b.png"]);
    const inFolder = await readFile(upload(formWith(new File(["abc"], "icons/seeds\\tray.png")), 300), 1024);
    expect(inFolder.name).toBe("tray.png");
  });

  it.each([2 * 1024 * 1024, null])(
    "of %s bytes is refused before it is read, and one that does not say as well",
    async (length) => {
      const request = upload(formWith(new File(["abc"], "a.png")), length);
      await expect(readFile(request, 1024 * 1024)).rejects.toMatchObject({
        status: 413,
        message: "This file is larger than 1 MB: save it smaller first.",
      });
      expect(request.bodyUsed).toBe(false);
    },
  );

  it("that is missing, or no form at all, is refused", async () => {
    await expect(readFile(upload(formWith("text"), 300), 1024)).rejects.toThrow(
      "There is no file in the upload.",
    );
    const broken = new Request("http://127.0.0.1:4310/api/x", {
      method: "POST",
      body: "--x\r\nhalf",
      headers: { "content-type": "multipart/form-data; boundary=x", "content-length": "9" },
    });
    await expect(readFile(broken, 1024)).rejects.toThrow("The upload was cut short: choose the file again.");
  });
});
