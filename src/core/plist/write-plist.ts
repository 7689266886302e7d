/**
 * Writing a binary property list, version 00: objects one after another, a table of their offsets, and a trailer that says
 * how both are read. Equal strings are written once.
 */
import { joinBytes, append } from "../values";
import { PlistAtom, type PlistValue } from "./read-plist";

const isBytes = (value: PlistValue): value is Uint8Array => value instanceof Uint8Array;
const isList = (value: PlistValue): value is readonly PlistValue[] => Array.isArray(value);

/** How many bytes a number takes that is not below zero: 1, 2, 4 or 8. */
const sizeOf = (value: number): 1 | 2 | 4 | 8 =>
  value < 2 ** 8 ? 1 : value < 2 ** 16 ? 2 : value < 2 ** 32 ? 4 : 8;

/** The number with its high byte first. */
function integer(value: number, size: number): readonly number[] {
  const bytes: number[] = [];
  for (let at = size - 1; at >= 0; at--) bytes.push(Math.floor(value / 256 ** at) % 256);
  return bytes;
}

/** The marker of a kind with the count of what follows. */
function marker(kind: number, count: number): readonly number[] {
  if (count < 15) return [(kind << 4) | count];
  const size = sizeOf(count);
  return [(kind << 4) | 15, 0x10 | Math.log2(size), ...integer(count, size)];
}

const isAscii = (text: string): boolean => /^[\x00-\x7f]*$/.test(text);

function stringBytes(text: string): readonly number[] {
  if (isAscii(text)) return [...marker(0x5, text.length), ...[...text].map((letter) => letter.charCodeAt(0))];
  const units: number[] = [];
  for (let at = 0; at < text.length; at++) append(units, integer(text.charCodeAt(at), 2));
  return [...marker(0x6, text.length), ...units];
}

/** An object before it is known how many bytes a reference takes. */
interface Pending {
  readonly head: readonly number[];
  readonly references: readonly number[];
  readonly bytes: Uint8Array | null;
}

class Writer {
  private readonly objects: Pending[] = [];
  private readonly strings = new Map<string, number>();

  /** The number of the object that a value becomes. Throws a RangeError for numbers that are no natural ones. */
  add(value: PlistValue): number {
    if (typeof value === "string") {
      const known = this.strings.get(value);
      if (known !== undefined) return known;
      const number = this.put(stringBytes(value));
      this.strings.set(value, number);
      return number;
    }
    if (value === null) return this.put([0x00]);
    if (typeof value === "boolean") return this.put([value ? 0x09 : 0x08]);
    if (typeof value === "number") {
      if (!Number.isSafeInteger(value) || value < 0) throw new RangeError(`${value} is no natural number`);
      const size = sizeOf(value);
      return this.put([0x10 | Math.log2(size), ...integer(value, size)]);
    }
    if (value instanceof PlistAtom) return this.put([], [], value.bytes);
    if (isBytes(value)) return this.put(marker(0x4, value.length), [], value);
    // Room is kept first, so that the whole is the first object.
    const number = this.put([]);
    if (isList(value)) {
      const references = value.map((item) => this.add(item));
      this.objects[number] = { head: marker(0xa, value.length), references, bytes: null };
    } else {
      const entries = Object.entries(value);
      const references = [
        ...entries.map(([name]) => this.add(name)),
        ...entries.map(([, item]) => this.add(item)),
      ];
      this.objects[number] = { head: marker(0xd, entries.length), references, bytes: null };
    }
    return number;
  }

  private put(
    head: readonly number[],
    references: readonly number[] = [],
    bytes: Uint8Array | null = null,
  ): number {
    return this.objects.push({ head, references, bytes }) - 1;
  }

  whole(top: number): Uint8Array {
    const referenceSize = sizeOf(this.objects.length);
    const parts: Uint8Array[] = [new TextEncoder().encode("bplist00")];
    const offsets: number[] = [];
    let at = 8;
    const push = (bytes: Uint8Array): void => {
      parts.push(bytes);
      at += bytes.length;
    };
    for (const { head, references, bytes } of this.objects) {
      offsets.push(at);
      push(Uint8Array.from([...head, ...references.flatMap((each) => integer(each, referenceSize))]));
      if (bytes) push(bytes);
    }
    const table = at;
    const offsetSize = sizeOf(table);
    push(Uint8Array.from(offsets.flatMap((offset) => integer(offset, offsetSize))));
    push(
      Uint8Array.from([
        0,
        0,
        0,
        0,
        0,
        0,
        offsetSize,
        referenceSize,
        ...integer(this.objects.length, 8),
        ...integer(top, 8),
        ...integer(table, 8),
      ]),
    );
    return joinBytes(parts);
  }
}

/** The bytes of a value as a binary property list. Throws a RangeError for what such a list cannot hold. */
export function writeBinaryPlist(value: PlistValue): Uint8Array {
  const writer = new Writer();
  return writer.whole(writer.add(value));
}
