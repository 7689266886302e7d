import { expect, it } from "vitest";
import { drawnFrom, letterPath } from "./paths";

it("an invented address is drawn from the invented sites, any other from itself", () => {
  expect(drawnFrom("https://Share.Example/a/b.png")).toBe("/invented-sites/share.example/a/b.png");
  expect(drawnFrom("https://share.example")).toBe("/invented-sites/share.example/");
  for (const address of ["/h/x/y.png", "https://example.com/a.png", "https://a.example.org/x", ""])
    expect(drawnFrom(address)).toBe(address);
});

it("a mail link is a letter that the person begins, with what the link asks for", () => {
  expect(letterPath("mailto:ada@harrowfen.example?subject=Seed%20list&body=Dear%20Ada", "ifor-pell")).toBe(
    "/mailroom/ifor-pell/malthouse/write?to=ada%40harrowfen.example&subject=Seed+list&body=Dear+Ada",
  );
  expect(letterPath("https://harrowfen.example", "ifor-pell")).toBeNull();
});
