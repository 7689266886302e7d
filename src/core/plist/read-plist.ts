/**
 * Reading a binary property list, version 00: the form of a browser's web archive. Objects lie in a table of offsets;
 * collections name their members by number. Never deeper or larger than its limits.
 */

/** A value that means nothing here, such as a date, as its bytes: it is written again as it was read. */
export class PlistAtom {
  constructor(readonly bytes: Uint8Array) {}
}

export type PlistValue =
  | PlistAtom
  | string
  | number
  | boolean
  | null
  | Uint8Array
  | readonly PlistValue[]
  | { readonly [name: string]: PlistValue };

/** A file that is no property list, or a damaged one. */
export class PlistError extends Error {}

const deepest = 40;
const mostObjects = 100_000;

class Reader {
  private readonly offsetSize: number;
  private readonly referenceSize: number;
  private readonly count: number;
  private readonly tableAt: number;
  private readonly top: number;
  private read = 0;

  constructor(private readonly bytes: Uint8Array) {
    const trailer = bytes.length - 32;
    if (trailer < 8 || String.fromCharCode(...bytes.subarray(0, 6)) !== "bplist")
      throw new PlistError("This is no web archive.");
    this.offsetSize = bytes[trailer + 6] ?? 0;
    this.referenceSize = bytes[trailer + 7] ?? 0;
    this.count = this.integer(trailer + 8, 8);
    this.top = this.integer(trailer + 16, 8);
    this.tableAt = this.integer(trailer + 24, 8);
    if (this.count > mostObjects || this.tableAt + this.count * this.offsetSize > bytes.length)
      throw new PlistError("This web archive is damaged.");
  }

  /** An unsigned number of so many bytes, high byte first. */
  private integer(at: number, size: number): number {
    let value = 0;
    for (let byte = at; byte < at + size; byte++) {
      const own = this.bytes[byte];
      if (own === undefined) throw new PlistError("This web archive ends too early.");
      value = value * 256 + own;
    }
    return value;
  }

  /** How many members or bytes an object has, and where they begin. */
  private length(at: number): { readonly length: number; readonly from: number } {
    const low = (this.bytes[at] ?? 0) & 0x0f;
    if (low !== 0x0f) return { length: low, from: at + 1 };
    const size = 1 << ((this.bytes[at + 1] ?? 0) & 0x0f);
    return { length: this.integer(at + 2, size), from: at + 2 + size };
  }

  private slice(from: number, length: number): Uint8Array {
    if (from + length > this.bytes.length) throw new PlistError("This web archive ends too early.");
    return this.bytes.subarray(from, from + length);
  }

  /** A marker with the bytes that follow it. */
  private atom(at: number, size: number): PlistAtom {
    return new PlistAtom(this.slice(at, size + 1));
  }

  object(index: number, depth: number): PlistValue {
    if (depth > deepest || ++this.read > mostObjects) throw new PlistError("This web archive is too large.");
    const at = this.integer(this.tableAt + index * this.offsetSize, this.offsetSize);
    const marker = this.bytes[at] ?? 0;
    switch (marker >> 4) {
      case 0x0:
        return marker === 0x08 ? false : marker === 0x09 ? true : null;
      case 0x1: {
        const size = 1 << (marker & 0x0f);
        const value = this.integer(at + 1, size);
        // Numbers below zero have eight bytes; so have some that are too large to be exact here.
        return Number.isSafeInteger(value) ? value : this.atom(at, size);
      }
      case 0x2:
      case 0x3:
        return this.atom(at, 1 << (marker & 0x0f));
      case 0x8:
        return this.atom(at, (marker & 0x0f) + 1);
      case 0x4: {
        const { length, from } = this.length(at);
        return this.slice(from, length);
      }
      case 0x5: {
        const { length, from } = this.length(at);
        return new TextDecoder("windows-1252").decode(this.slice(from, length));
      }
      case 0x6: {
        const { length, from } = this.length(at);
        return new TextDecoder("utf-16be").decode(this.slice(from, length * 2));
      }
      case 0xa: {
        const { length, from } = this.length(at);
        return this.members(from, length).map((member) => this.object(member, depth + 1));
      }
      case 0xd: {
        const { length, from } = this.length(at);
        const names = this.members(from, length);
        const values = this.members(from + length * this.referenceSize, length);
        return Object.fromEntries(
          names.map((name, place) => [
            this.name(name, depth + 1),
            this.object(values[place] ?? 0, depth + 1),
          ]),
        );
      }
      default:
        throw new PlistError("This web archive holds what is not read here.");
    }
  }

  /** The name of a member, which is a text. */
  private name(index: number, depth: number): string {
    const name = this.object(index, depth);
    return typeof name === "string" ? name : "";
  }

  private members(from: number, length: number): readonly number[] {
    if (from + length * this.referenceSize > this.bytes.length)
      throw new PlistError("This web archive ends too early.");
    return Array.from({ length }, (_unused, place) =>
      this.integer(from + place * this.referenceSize, this.referenceSize),
    );
  }

  whole(): PlistValue {
    return this.object(this.top, 0);
  }
}

/** Throws a PlistError for what is no binary property list. */
export const readBinaryPlist = (bytes: Uint8Array): PlistValue => new Reader(bytes).whole();
