import { expect, it } from "vitest";
import { remember } from "./index";

it("what is remembered is worked out once, also where the answer is nothing, until there is too much of it", () => {
  const asked: number[] = [];
  const half = remember((key: number) => {
    asked.push(key);
    return key % 2 === 0 ? key / 2 : undefined;
  });
  expect([half(4), half(4), half(3), half(3)]).toEqual([2, 2, undefined, undefined]);
  expect(asked).toEqual([4, 3]);
  for (let key = 10; key < 2010; key++) half(key);
  asked.length = 0;
  expect(half(4)).toBe(2);
  expect(asked).toEqual([4]);
});
