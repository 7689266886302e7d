import { spawnSync } from "node:child_process";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readBinaryPlist, writeBinaryPlist, type PlistValue } from "./index";

const { plist } = fc.letrec<{ plist: PlistValue }>((tie) => ({
  plist: fc.oneof(
    { depthSize: "small" },
    fc.string({ unit: "grapheme" }),
    fc.nat({ max: Number.MAX_SAFE_INTEGER }),
    fc.boolean(),
    fc.uint8Array({ maxLength: 40 }),
    fc.array(tie("plist"), { maxLength: 20 }),
    fc.dictionary(fc.string({ minLength: 1 }), tie("plist"), { maxKeys: 6, noNullPrototype: true }),
  ),
}));

describe("a binary property list", () => {
  it("is read as it was written", () => {
    fc.assert(
      fc.property(plist, (value) => {
        expect(readBinaryPlist(writeBinaryPlist(value))).toEqual(value);
      }),
      { numRuns: 300 },
    );
  });

  it("holds what is longer than one byte counts", () => {
    const value = { bytes: new Uint8Array(70_000).fill(7), list: Array.from({ length: 300 }, (_, at) => at) };
    expect(readBinaryPlist(writeBinaryPlist(value))).toEqual(value);
  });

  it("holds no number that is not natural", () => {
    expect(() => writeBinaryPlist(-1)).toThrow("-1 is no natural number");
  });

  const python = spawnSync("python3", ["-c", "import plistlib"]).status === 0;
  it.skipIf(!python)("is read by an independent reader", () => {
    const value = { name: "Søren", data: new Uint8Array([1, 2, 255]), list: [1, 300, "a"], yes: true };
    const { stdout, stderr } = spawnSync(
      "python3",
      [
        "-c",
        "import plistlib,sys,json;v=plistlib.loads(sys.stdin.buffer.read());v['data']=list(v['data']);print(json.dumps(v,sort_keys=True))",
      ],
      { input: writeBinaryPlist(value), encoding: "utf8" },
    );
    expect(stderr).toBe("");
    expect(JSON.parse(stdout)).toEqual({ ...value, data: [1, 2, 255] });
  });
});
