import { describe, expect, it } from "vitest";
import { leadInside } from "./lead-inside";

describe("links of a letter", () => {
  it.each([
    ["https://harrowfen.example/visit?a=b", "/mailroom/web/harrowfen.example/visit?a=b"],
    ["mailto:ada@harrowfen.example", "/mailroom/zoe/malthouse/write?to=ada%40harrowfen.example"],
    [
      "mailto:ada@harrowfen.example?subject=A%26B&body=x%0D%0Ay",
      "/mailroom/zoe/malthouse/write?to=ada%40harrowfen.example&subject=A%26B&body=x%0Ay",
    ],
    ["https://harrowfen.org/", null],
    ["https://notexample/", null],
    ["tel:+441632960100", null],
    ["#top", null],
  ])("%s leads to %s", (href, expected) => expect(leadInside(href, "zoe")).toBe(expected));

  it("are written in the client in which they stand", () => {
    expect(leadInside("mailto:ada@harrowfen.example", "zoe", "wren")).toBe(
      "/mailroom/zoe/wren/write?to=ada%40harrowfen.example",
    );
  });
});
