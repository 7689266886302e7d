import { expect, it } from "vitest";
import { rowHeights } from "./row-heights";

const cell = (row: number, height: number, span = 1) => ({ row, span, height });
const open = [false, false, false];

it("a row is as high as its highest cell", () => {
  expect(rowHeights(2, [cell(0, 20), cell(0, 35), cell(1, 12)], open)).toEqual([35, 12]);
  expect(rowHeights(2, [cell(0, 20)], open)).toEqual([20, 0]);
});

it("rows under a cell that spans them grow in proportion, where nobody gave them a height", () => {
  expect(rowHeights(2, [cell(0, 20), cell(1, 60), cell(0, 120, 2)], open)).toEqual([30, 90]);
  expect(rowHeights(2, [cell(0, 20), cell(1, 60), cell(0, 120, 2)], [true, false])).toEqual([20, 100]);
  expect(rowHeights(2, [cell(0, 20), cell(1, 60), cell(0, 120, 2)], [true, true])).toEqual([30, 90]);
  expect(rowHeights(2, [cell(0, 20), cell(1, 60), cell(0, 70, 2)], open)).toEqual([20, 60]);
});

it("rows of nothing leave what is missing to the last of them, or to the one in which another such cell begins", () => {
  expect(rowHeights(2, [cell(0, 50, 2)], open)).toEqual([0, 50]);
  expect(rowHeights(3, [cell(0, 20), cell(0, 90, 3), cell(1, 30, 2)], open)).toEqual([20, 40, 30]);
});
