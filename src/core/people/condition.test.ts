import { describe, expect, it } from "vitest";
import { condition, meets, type Condition } from "./condition";
import { emptyPerson } from "./fields";

const ada = { ...emptyPerson, department: "Press ", phone: "  ", "text:Room": "7b" };
const of = (field: Condition["field"], is: Condition["is"], details: readonly string[] = []): Condition => ({
  field,
  is,
  details,
});

describe("whom something is said of", () => {
  it.each([
    [of("department", "filled"), true],
    [of("phone", "filled"), false],
    [of("phone", "empty"), true],
    [of("text:Room", "filled"), true],
    [of("text:Desk", "empty"), true],
    [of("department", "one of", ["Learning", "press"]), true],
    [of("department", "one of", []), false],
    [of("department", "none of", ["Learning"]), true],
    [of("department", "none of", ["PRESS"]), false],
    [of("phone", "one of", [""]), true],
  ])("is told by %j", (asked, met) => {
    expect(meets(ada, asked)).toBe(met);
  });

  it("is refused with a field that no directory can have", () => {
    expect(condition.check({ field: "colour", is: "filled", details: [] })).toContain("field");
    expect(condition.check({ field: "phone", is: "long", details: [] })).toContain("is");
    expect(condition.check(of("phone", "filled"))).toBeNull();
  });
});
