import { describe, expect, it } from "vitest";
import {
  hostedPath,
  hostedPathsIn,
  isContentHash,
  isHostedFileName,
  isPrivateAddress,
  isPrivateHost,
  publicAddress,
  readHostedPath,
  readPicturePath,
} from "./index";

const hash = "0123456789abcdef0123";
const photo = `/h/${hash}/ada-quill.png`;

describe("addresses of what is hosted", () => {
  it("are built from hash and name, and read back", () => {
    expect(hostedPath({ hash, fileName: "ada-quill.png" })).toBe(photo);
    expect(readHostedPath(photo)).toEqual({ hash, fileName: "ada-quill.png" });
  });

  it("of pictures are told from those of files", () => {
    expect(readPicturePath(photo)).toEqual({ hash, fileName: "ada-quill.png" });
    expect(readPicturePath(`/h/${hash}/open-weekend.ics`)).toBeNull();
  });

  it.each([
    `/h/${hash}/`,
    `/h/${hash.slice(1)}/a.png`,
    `/h/${hash}/A.png`,
    `/h/${hash}/../a.png`,
    `https://pictures.example${photo}`,
    `${photo}?x=1`,
    "",
  ])("%j is none", (path) => expect(readHostedPath(path)).toBeNull());

  it("are put under the public address; others stay", () => {
    expect(publicAddress(photo, "https://pictures.example")).toBe(`https://pictures.example${photo}`);
    expect(publicAddress("https://plotline.example/a.png", "https://pictures.example")).toBe(
      "https://plotline.example/a.png",
    );
  });

  it("are found in any text", () => {
    expect(hostedPathsIn(`<img src="https://a.example${photo}"> and ${photo}, not /h/12/a.png`)).toEqual([
      photo,
      photo,
    ]);
    expect(hostedPathsIn("nothing")).toEqual([]);
  });

  it("have hashes and names of one form", () => {
    expect([isContentHash(hash), isContentHash(`${hash}0`), isContentHash("x".repeat(20))]).toEqual([
      true,
      false,
      false,
    ]);
    expect([isHostedFileName("a-1.jpg"), isHostedFileName("a b.jpg"), isHostedFileName("../a.jpg")]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe("hosts that recipients cannot reach", () => {
  it.each([
    "http://127.0.0.1:4310",
    "http://localhost",
    "http://10.0.0.4",
    "http://172.20.1.1",
    "http://192.168.1.9",
    "http://[::1]:80",
    "http://printer.local",
    "http://intranet",
    "http://100.64.0.1",
    "http://224.0.0.1",
    "http://[::ffff:127.0.0.1]",
    "http://[fe80::1]",
    // Kept for documentation (RFC 3849): nobody answers there.
    "http://[2001:db8::1]",
    "http://printer.local.",
    "nonsense",
  ])("%s", (address) => expect(isPrivateHost(address)).toBe(true));
  it.each(["https://harrowfen.example", "http://172.32.0.1", "http://8.8.8.8", "http://[2600::1]"])(
    "but not %s",
    (address) => expect(isPrivateHost(address)).toBe(false),
  );
});

describe("private addresses", () => {
  it.each([
    "127.0.0.1",
    "10.1.2.3",
    "100.64.0.1",
    "224.0.0.1",
    "::ffff:127.0.0.1",
    "fd00::1",
    "0.0.0.0",
    "no address",
  ])("%s", (address) => expect(isPrivateAddress(address)).toBe(true));
  it.each(["8.8.8.8", "2600::1"])("but not %s", (address) => expect(isPrivateAddress(address)).toBe(false));
});
