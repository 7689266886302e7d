import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { drawnText } from "../clients";
import { contrast } from "../color";
import { emptyPerson } from "../people";
import { build, settingsOf, style, textColorsOf } from "../signature";
import { checkColors } from "./check-colors";
import { applyMend } from "./mend";

const ada = { ...emptyPerson, name: "Ada Quill", mail: "ada@harrowfen.example" };
const signature = (settings: object, background: string | null, ...content: readonly Node[]) =>
  build.signature(
    settings,
    build.table(build.row(build.cell({ width: [300], background }, build.line(...content)))),
  );
const colored = (text: string, color: string) => build.text(text, style.color(color));

describe("text colours", () => {
  it("are listed as they are drawn, with what is behind them", () => {
    const document = build.signature(
      { textColor: "#222222", linkColor: "#3F5B2E" },
      build.table(
        build.row(
          build.cell(
            { width: [200], background: "#F3EFE4" },
            build.line(build.field("name"), build.text(" · "), build.field("mail")),
          ),
          build.cell(
            { width: [200] },
            build.button({ link: "https://harrowfen.example" }, build.text("Visit")),
          ),
        ),
      ),
    );
    expect(
      textColorsOf(document, ada).map(({ text, color, background }) => [text, color, background]),
    ).toEqual([
      ["Ada Quill", "#222222", "#F3EFE4"],
      ["ada@harrowfen.example", "#3F5B2E", "#F3EFE4"],
      ["Visit", "#FFFFFF", "#1F5B57"],
    ]);
  });
});

describe("findings of colours", () => {
  it("find text on nearly its own colour, and put it right in one step", () => {
    const document = signature({ textColor: "#222222" }, "#F3EFE4", colored("Hardly there", "#F0E8D8"));
    const [finding, ...more] = checkColors(document, null);
    expect(more).toEqual([]);
    expect(finding).toMatchObject({
      code: "text-hard-to-read",
      severity: "break",
      message: "“Hardly there” has a contrast of 1.1:1 to what is behind it; 4.5:1 is easy to read.",
    });
    const mended = applyMend(new Transform(document), finding!.mend!).doc;
    expect(checkColors(mended, null)).toEqual([]);
  });

  it("find text that dark modes make hard to read, by the mode in which it is worst", () => {
    const document = signature({ textColor: "#5D6358" }, null, build.text("Head of Germination"));
    const [finding] = checkColors(document, null);
    expect(finding).toMatchObject({
      code: "text-hard-to-read-in-the-dark",
      severity: "note",
    });
    expect(finding!.message).toMatch(
      /^“Head of Germination” has a contrast of 3\.\d:1 to what is behind it where dark mode /,
    );
  });

  it("offer the nearest colour of the same hue that reads in every mode, and change it wherever it stands", () => {
    const document = signature(
      { textColor: "#5D6358", linkColor: "#5D6358" },
      null,
      build.text("Head of Germination "),
      colored("Ada", "#5D6358"),
    );
    const { mend } = checkColors(document, null)[0]!;
    expect(mend).toMatchObject({ kind: "recolor", from: "#5D6358" });
    const mended = applyMend(new Transform(document), mend!).doc;
    const to = settingsOf(mended).textColor;
    expect(settingsOf(mended).linkColor).toBe(to);
    expect(new Set(textColorsOf(mended).map(({ color }) => color))).toEqual(new Set([to]));
    for (const { color, behind } of drawnText(to, null))
      expect(contrast(color, behind)).toBeGreaterThanOrEqual(4.5);
    expect(checkColors(mended, null)).toEqual([]);
    expect(mend!.label).toBe(`Use ${to}, which reads in both`);
  });

  it("say each colour on each background once, and nothing of what reads well", () => {
    const twice = signature(
      { textColor: "#222222" },
      null,
      colored("One", "#777777"),
      colored("Two", "#777777"),
    );
    expect(checkColors(twice, null)).toHaveLength(1);
    expect(checkColors(signature({ textColor: "#222222" }, null, build.text("Ada")), null)).toEqual([]);
    expect(checkColors(signature({ textColor: "#DDDDDD" }, null, build.text(" | ")), null)).toEqual([]);
  });
});
