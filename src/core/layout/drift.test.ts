import { describe, expect, it } from "vitest";
import { driftBetween, isStill, unrest, unstillReason, type DrawnPart } from "./index";

const name: DrawnPart = {
  id: 3,
  kind: "text",
  text: "Ada Quill",
  left: 100,
  top: 0,
  width: 60,
  height: 18,
  lines: ["Ada Quill"],
  color: "rgb(0, 0, 0)",
  behind: "rgb(255, 255, 255)",
  fontSize: 13,
  fontFamily: "Arial",
  source: "",
};
const photo: DrawnPart = {
  ...name,
  id: 1,
  kind: "picture",
  text: "Ada at her desk",
  lines: [],
  left: 0,
  width: 96,
  height: 96,
};
const only = (shown: Partial<DrawnPart>, design: DrawnPart = name) =>
  driftBetween([design], [{ ...design, ...shown }])[0]!;

describe("drift", () => {
  it("is nothing where all is as it was designed", () => {
    const [picture, text] = driftBetween([photo, name], [name, photo]);
    expect(text).toEqual({
      id: 3,
      kind: "text",
      text: "Ada Quill",
      moved: 0,
      resized: 0,
      wrapped: false,
      missing: false,
      recolored: 0,
      contrast: 21,
      visibility: null,
      otherFont: false,
    });
    expect(picture).toMatchObject({ id: 1, contrast: null, recolored: 0 });
    expect(isStill([picture!, text!])).toBe(true);
  });

  it("is how far a part moved, and how much larger it is", () => {
    expect(only({ left: 97, top: 5, width: 66, height: 18.5 })).toMatchObject({ moved: 5, resized: 6 });
  });

  it("counts 2 px as still, and not more", () => {
    expect(unstillReason(only({ top: 2 }))).toBeNull();
    expect(unstillReason(only({ top: 2.1 }))).toBe("moved");
  });

  it("tells other lines, another font, another colour", () => {
    expect(unstillReason(only({ lines: ["Ada", "Quill"] }))).toBe("wrapped");
    expect(only({ fontFamily: "Georgia" }).otherFont).toBe(true);
    expect(only({ color: "rgb(0, 0, 238)" }).recolored).toBeGreaterThan(20);
    expect(only({ color: "nonsense" })).toMatchObject({ recolored: 0, contrast: null });
  });

  it("tells what is gone", () => {
    expect(driftBetween([photo], []).map(unstillReason)).toEqual(["missing"]);
    expect(unstillReason(only({ width: 0 }))).toBe("missing");
  });

  it("tells text that cannot be read, and asks nothing of what has no letters", () => {
    expect(unstillReason(only({ color: "rgb(119, 119, 119)" }))).toBe("unreadable");
    expect(unstillReason(only({ color: "rgb(118, 118, 118)" }))).toBeNull();
    const bar = { ...name, text: "|", lines: ["|"] };
    expect(unstillReason(only({ color: "rgb(200, 200, 200)" }, bar))).toBeNull();
    expect(unstillReason(only({ behind: "rgb(0, 0, 0)" }, photo))).toBeNull();
  });

  it("tells a picture that vanishes, where its colours are known", () => {
    const icon = { ...photo, source: "/h/1/icon.png", behind: "rgb(0, 0, 0)" };
    const colors = { "/h/1/icon.png": [{ color: "#111111", share: 1, corner: false }] };
    const design = { ...icon, behind: "rgb(255, 255, 255)" };
    const [dark] = driftBetween([design], [icon], colors);
    expect(dark).toMatchObject({ visibility: 0 });
    expect(unstillReason(dark!)).toBe("vanished");
    const [light] = driftBetween([design], [design], colors);
    expect(unstillReason(light!)).toBeNull();
    expect(driftBetween([design], [icon])[0]).toMatchObject({ visibility: null });
  });

  it("tells of a border that is gone, or stands elsewhere, and reads nothing in it", () => {
    const border = {
      ...name,
      id: -4,
      kind: "box",
      text: "border",
      lines: [],
      color: "rgb(192, 138, 43)",
    } as const;
    expect(unstillReason(only({ left: 104 }, border))).toBe("moved");
    expect(unstillReason(driftBetween([border], [])[0]!)).toBe("missing");
    const darker = only({ color: "rgb(20, 20, 20)", behind: "rgb(20, 20, 20)" }, border);
    expect(darker).toMatchObject({ contrast: null, wrapped: false });
    expect(darker.recolored).toBeGreaterThan(20);
    expect(unstillReason(darker)).toBeNull();
  });

  it("puts what is gone before what moved", () => {
    const gone = driftBetween([photo], []);
    const moved = driftBetween([name], [{ ...name, top: 500 }]);
    expect(unrest(gone)).toBeGreaterThan(unrest(moved));
    expect(unrest(driftBetween([name], [name]))).toBe(0);
  });
});
