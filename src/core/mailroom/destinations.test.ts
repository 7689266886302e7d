import { describe, expect, it } from "vitest";
import { destinationsIn } from "./index";

describe("where a letter leads", () => {
  it("lists links and pictures in their order, each address once", () => {
    expect(
      destinationsIn(
        '<a href="https://harrowfen.example"><img src="https://pictures.example/a.png" alt="Logo"> the  fen</a>' +
          '<a href="https://harrowfen.example">again</a><a href="mailto:ada@harrowfen.example">Ada</a>' +
          '<img src="cid:dot"><img src="data:image/png;base64,x"><a href="#top">up</a><a>nowhere</a><img src="https://pictures.example/a.png">',
      ),
    ).toEqual([
      { kind: "link", says: "Logo the fen", address: "https://harrowfen.example" },
      { kind: "picture", says: "Logo", address: "https://pictures.example/a.png" },
      { kind: "link", says: "Ada", address: "mailto:ada@harrowfen.example" },
    ]);
  });

  it("is bounded", () => {
    const html = Array.from({ length: 300 }, (_, at) => `<a href="https://x.example/${at}">x</a>`).join("");
    expect(destinationsIn(html)).toHaveLength(200);
    expect(destinationsIn(html, 3)).toHaveLength(3);
    expect(destinationsIn("")).toEqual([]);
  });
});
