import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { droppedInWords, whatIsDropped } from "./index";

const codes = (html: string): string[] => whatIsDropped(html).map(({ code, count }) => `${code} ${count}`);

describe("what a signature cannot hold of some HTML", () => {
  it.each([
    ["text with its styling", '<p style="font-family:Arial;color:#333;margin:0">Ada <b>Quill</b></p>', []],
    ["a hosted picture of a known size", '<img src="https://p.example/a.png" width="20" height="20">', []],
    [
      "a hosted picture without one",
      '<img src="https://p.example/a.png" style="width:20px">',
      ["picture-without-size 1"],
    ],
    ["pictures on a disk", '<img src="file:///c/a.png"><img src="cid:1">', ["picture-on-disk 2"]],
    ["an embedded picture", '<img src="data:image/png;base64,AA">', ["picture-embedded 1"]],
    ["what plays or asks", "<video></video><form><input></form>", ["media 3"]],
    ["list marks", "<ul><li>One<li>Two</ul>", ["list-marks 2"]],
    ["margins and floats", '<p style="margin:0 0 8pt">A</p><div style="FLOAT:left">B</div>', ["placing 2"]],
    ["boxes that are laid out by rules of their own", '<div style="display:flex">A</div>', ["placing 1"]],
    ["a background picture", '<div style="background:url(a.png)">A</div>', ["background-picture 1"]],
    [
      "a font of one's own",
      '<span style="font-family:\'Fenland Sans\', Arial">A</span><font face="Hedge">B</font>',
      ["font 2"],
    ],
    ["a link that runs", '<a href="javascript:alert(1)">A</a>', ["link 1"]],
  ])("%s", (_what, html, expected) => expect(codes(html)).toEqual(expected));

  it("is said in a line for each kind", () => {
    const dropped = whatIsDropped('<img src="cid:1"><img src="cid:2"><ol><li>A</ol>');
    expect(droppedInWords(dropped)).toEqual([
      "2 pictures on a disk: upload them instead",
      "the marks of lists",
    ]);
    expect(droppedInWords(whatIsDropped("<p>Plain</p>"))).toEqual([]);
  });

  it("is found in any input without failing", () => {
    fc.assert(fc.property(fc.string(), (html) => whatIsDropped(html).every(({ count }) => count > 0)));
  });
});
