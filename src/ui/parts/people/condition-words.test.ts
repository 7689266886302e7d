import { expect, it } from "vitest";
import type { Condition } from "@/core/people";
import { conditionWords } from "./condition-words";

const of = (field: Condition["field"], is: Condition["is"], details: readonly string[] = []): Condition => ({
  field,
  is,
  details,
});

it.each([
  [of("phone", "filled"), "whoever has something in Phone"],
  [of("text:Room", "empty"), "whoever has nothing in Room"],
  [of("department", "one of", ["Press"]), "whose Department is Press"],
  [
    of("department", "one of", ["Press", "Learning", "Cold Store"]),
    "whose Department is Press, Learning, or Cold Store",
  ],
  [
    of("address", "none of", ["The Old Malthouse", "The gate"]),
    "whose Address is not The Old Malthouse or The gate",
  ],
  [of("department", "one of"), "whose Department is nothing yet"],
])("%j is said", (condition, says) => {
  expect(conditionWords(condition)).toBe(says);
});
