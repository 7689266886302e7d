import { expect, it } from "vitest";
import { endpoints } from "./endpoints";
import { readInput } from "./yup-of";

const { query } = endpoints.pictureView;

it("a number in a query comes as text and is read as a number; none is the first", async () => {
  if (!query) throw new TypeError("A picture is looked at frame by frame");
  await expect(readInput(query, { frame: "3" })).resolves.toEqual({ frame: 3 });
  await expect(readInput(query, {})).resolves.toEqual({ frame: 0 });
  for (const frame of ["-1", "2.5", "x", ""])
    await expect(readInput(query, { frame })).rejects.toThrow(/must be the number of a frame/);
});
