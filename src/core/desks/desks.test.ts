import { describe, expect, it } from "vitest";
import {
  choicesFor,
  clientForKind,
  deskClientIds,
  deskClients,
  freeName,
  isDeskClient,
  ownAddresses,
} from "./index";

describe("the clients of the Mailroom", () => {
  it("are one for each kind that has steps of its own", () => {
    expect(new Set(deskClientIds.map((id) => deskClients[id].kind)).size).toBe(deskClientIds.length);
    expect(clientForKind("desktop-browser")?.name).toBe("Sluice");
    expect(clientForKind("anything")).toBeNull();
    expect([isDeskClient("wren"), isDeskClient("toString")]).toEqual([true, false]);
    for (const id of deskClientIds) expect(deskClients[id].id).toBe(id);
  });
});

describe("own addresses", () => {
  it("are the person's and the department's, in small letters", () => {
    expect(ownAddresses({ mail: "Ada@Harrowfen.example", department: "Front Desk" })).toEqual([
      "ada@harrowfen.example",
      "front-desk@harrowfen.example",
    ]);
    expect(ownAddresses({ mail: "press@harrowfen.example", department: "Press" })).toEqual([
      "press@harrowfen.example",
    ]);
    expect(ownAddresses({ mail: "ada@harrowfen.example", department: "種子" })).toEqual([
      "ada@harrowfen.example",
    ]);
    expect(ownAddresses({ mail: "", department: "Press" })).toEqual([]);
  });
});

describe("what is chosen", () => {
  const kept = {
    address: "ada@harrowfen.example",
    underNew: "one",
    underAnswers: "gone",
    place: "below",
    delimiter: true,
  } as const;

  it("is one choice for each address, and never a signature that is not there", () => {
    expect(
      choicesFor(
        deskClients.oxbow,
        [kept],
        ["ada@harrowfen.example", "press@harrowfen.example"],
        [{ id: "one" }],
      ),
    ).toEqual([
      { ...kept, underAnswers: null },
      {
        address: "press@harrowfen.example",
        underNew: null,
        underAnswers: null,
        place: "below",
        delimiter: true,
      },
    ]);
  });
});

describe("a free name", () => {
  it("is the name itself, or has the first number that is free", () => {
    expect(freeName("Full", [])).toBe("Full");
    expect(freeName("Full", ["Full", "Full 3"])).toBe("Full 2");
    expect(freeName("Full", ["Full", "Full 2"])).toBe("Full 3");
  });
});
