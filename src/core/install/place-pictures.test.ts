import { describe, expect, it } from "vitest";
import { pathsIn, placePictures } from "./place-pictures";

const base = "https://pictures.example";
const reed = "/h/0123456789abcdef0123/reed.png";
const press = "/h/abcdef0123456789abcd/press.jpg";
const html =
  `<p>${base}${reed}</p><img src="${base}${reed}" alt="a > b"><img src="${base}${press}">` +
  `<img src="https://elsewhere.example${reed}"><img src="${base}${reed}"><a href="${base}${reed}">x</a>`;

describe("hosted pictures of compiled HTML", () => {
  it("are those that it shows from under the base, each once and in its order", () => {
    expect(pathsIn(html, base)).toEqual([reed, press]);
    expect(pathsIn(html, `${base}/`)).toEqual([reed, press]);
    expect(pathsIn(html, "https://other.example")).toEqual([]);
  });

  it("are named in another way wherever they are shown, and nothing else is changed", () => {
    const placed = placePictures(html, base, (path) => (path === reed ? 'a "b".png' : null));
    expect(placed).toBe(html.replaceAll(`<img src="${base}${reed}"`, '<img src="a &quot;b&quot;.png"'));
  });

  it("stay where nothing is answered for them", () => {
    expect(placePictures(html, base, () => null)).toBe(html);
  });
});
