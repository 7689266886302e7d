import { describe, expect, it } from "vitest";
import { formatBytes, formatCount, formatSize } from "./format";
import { localPictures } from "./drawing/local-pictures";

describe("sizes as people say them", () => {
  it.each([
    [0, "0 bytes"],
    [1023, "1023 bytes"],
    [1024, "1 KB"],
    [5325, "5.2 KB"],
    [23 * 1024, "23 KB"],
    [999 * 1024, "999 KB"],
    [1000 * 1024, "1.0 MB"],
    [1.4 * 1024 * 1024, "1.4 MB"],
  ])("%d is %s", (bytes, said) => expect(formatBytes(bytes)).toBe(said));

  it("counts one and many", () => {
    expect(formatCount(1, "finding")).toBe("1 finding");
    expect(formatCount(1200, "person", "people")).toBe("1,200 people");
    expect(formatSize(1200, 90)).toBe("1,200 × 90 px");
  });
});

describe("hosted pictures on this machine", () => {
  it("lose the public address, and others keep theirs", () => {
    const base = "https://p.example";
    const html =
      '<img src="https://p.example/h/1/a.png"><img src="https://q.example.org/h/1/a.png"><a href="https://p.example/x">';
    expect(localPictures(html, base)).toBe(
      '<img src="/h/1/a.png"><img src="https://q.example.org/h/1/a.png"><a href="https://p.example/x">',
    );
  });

  it("stand still where a client shows the first frame of loops only", () => {
    const html = '<img src="https://p.example/h/1/a.gif" width="9"><img src="https://p.example/h/1/a.png">';
    expect(localPictures(html, "https://p.example", "first-frame")).toBe(
      '<img src="/h/1/a.gif?first-frame" width="9"><img src="/h/1/a.png">',
    );
  });
});
