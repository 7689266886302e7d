import { expect, it } from "vitest";
import { emptyPerson } from "../../people";
import { build, wordsOf } from "../index";

it("the words of a document are what is written in it for a person, line by line", () => {
  const document = build.signature(
    {},
    build.table(
      build.row(
        build.cell(
          { width: [200] },
          build.line(build.field("name"), build.text(", keeper")),
          build.line(build.text("  of  rye")),
        ),
      ),
    ),
  );
  expect(wordsOf(document, { ...emptyPerson, name: "Ada Quill" })).toBe("Ada Quill, keeper of rye");
  expect(wordsOf(document)).toBe(", keeper of rye");
});
