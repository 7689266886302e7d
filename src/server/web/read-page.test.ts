import { expect, it } from "vitest";
import { readPage } from "./read-page";

const read = (html: string) =>
  readPage({ bytes: Buffer.from(html), address: "https://harrowfen.example/visit" });

it("a page says whether it asks to sign in, and which picture it is about", () => {
  expect(read('<meta property="og:image" content="/jars.png"><img src="a.png"><img src="b.png">')).toEqual({
    signIn: false,
    picture: "https://harrowfen.example/jars.png",
  });
  expect(read('<form><input type="password"></form><img src="a.png">')).toEqual({
    signIn: true,
    picture: "https://harrowfen.example/a.png",
  });
  expect(read('<img src="a.png"><img src="b.png">').picture).toBeNull();
});

it("a page that is nested without end is read as well", () => {
  expect(read(`${"<div>".repeat(100_000)}<img src="deep.png">`).picture).toBe(
    "https://harrowfen.example/deep.png",
  );
});
