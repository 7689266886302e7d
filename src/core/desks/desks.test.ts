import { describe, expect, it } from "vitest";
import { installSteps } from "../install-kinds";
import {
  choicesFor,
  clientForKind,
  deskClientIds,
  deskClients,
  freeName,
  isDeskClient,
  rehearsed,
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

describe("a rehearsal", () => {
  const tasksOf = (...[client, happened]: Parameters<typeof rehearsed>) =>
    rehearsed(client, happened).flatMap(({ tasks }) => tasks);

  it("follows the printed steps of the client's kind, and asks for each in its own words", () => {
    for (const id of deskClientIds) {
      const steps = rehearsed(id, []);
      expect(steps.map(({ says }) => says)).toEqual(installSteps[deskClients[id].kind]);
      // A step that asks for nothing says why.
      for (const { tasks, note } of steps) expect(tasks.length > 0).toBe(note === "");
      const tasks = steps.flatMap((step) => step.tasks);
      expect(new Set(tasks.map(({ happening }) => happening)).size).toBe(tasks.length);
      expect(tasks.map(({ happening }) => happening).slice(-3)).toEqual(["sent", "read", "followed"]);
      expect(tasks.every(({ done, forgotten }) => !done && forgotten === null)).toBe(true);
    }
  });

  it("ticks what happened, in whatever order, and says what was left out before it", () => {
    const tasks = tasksOf("malthouse", ["sent", "pasted"]);
    // What was pasted was copied before.
    expect(tasks.map(({ done }) => done)).toEqual([true, true, false, false, true, false, false]);
    expect(tasks.map(({ forgotten }) => forgotten)).toEqual([
      null,
      null,
      "It was pasted and not kept: it is lost when Preferences are left.",
      "It is there, and chosen for no new letters: they go out without it.",
      null,
      null,
      null,
    ]);
  });

  it("has a sentence for whatever is left out", () => {
    for (const id of deskClientIds) {
      const tasks = tasksOf(id, ["followed"]);
      for (const { says, forgotten } of tasks.slice(0, -1)) {
        expect(says).toMatch(/\.$/);
        expect(forgotten).toMatch(/\.$/);
      }
      expect(tasks.at(-1)).toMatchObject({ done: true, forgotten: null });
    }
  });
});
