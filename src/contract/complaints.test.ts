import { describe, expect, it } from "vitest";
import { object, text } from "@/core/values";
import { complaintsOf } from "./complaints";
import { endpoints } from "./endpoints";
import { readInput } from "./yup-of";

const body = endpoints.savePattern.body!;

describe("complaints beside fields", () => {
  it("name each field that is not as it must be, and leave out those that are fine", () => {
    expect(complaintsOf(body, { signatureId: "s1", name: "  " })).toEqual({
      name: "A pattern needs a name.",
    });
    expect(complaintsOf(body, { signatureId: "s1", name: "Short" })).toEqual({});
  });

  it("are the sentences that the server answers with", async () => {
    const given = { signatureId: "s1", name: "x".repeat(81) };
    const { name } = complaintsOf(body, given);
    await expect(readInput(body, given)).rejects.toThrow(name);
  });

  it("are none for a value without fields", () => {
    expect(complaintsOf(text(5), { anything: 1 })).toEqual({});
    expect(complaintsOf(object({}), { anything: 1 })).toEqual({});
  });
});
