import { expect, it } from "vitest";
import { messageArea, standIns } from "./index";

it("a message area has the kind's own canvas, type and colours, and breaks words where the kind does", () => {
  expect(messageArea(standIns["webmail-portal"], "dark")).toBe(
    "html{background:#FFFFFF}body{color:#000000;font-family:Arial, Helvetica, sans-serif;font-size:14px}a{color:#0000EE}",
  );
  expect(messageArea(standIns["phone-system"], "dark")).toMatch(
    /^html\{background:#1A1C1B\}body\{overflow-wrap:break-word;color:#F2F2F0;/,
  );
  const breaking = Object.values(standIns).filter((kind) =>
    messageArea(kind, "light").includes("overflow-wrap"),
  );
  expect(breaking.map(({ id }) => id)).toEqual([
    "webmail-inline",
    "webmail-suite",
    "desktop-fixed",
    "desktop-browser",
    "phone-inline-partial",
    "phone-inline-full",
    "phone-system",
    "phone-suite",
    "phone-maker",
  ]);
});
