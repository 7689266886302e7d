import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { dropDraft, keepDraft, readDraft } from "./draft";

/** Web storage as a browser's window has it. */
function storage(): Storage {
  const items = new Map<string, string>();
  return {
    getItem: (key: string) => items.get(key) ?? null,
    setItem: (key: string, value: string) => void items.set(key, value),
    removeItem: (key: string) => void items.delete(key),
    clear: () => items.clear(),
    key: (index: number) => [...items.keys()][index] ?? null,
    get length() {
      return items.size;
    },
  };
}

const draft = { revision: 3, document: { type: "signature" }, base: { type: "signature" }, sent: null };

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("localStorage", storage());
  vi.stubGlobal("sessionStorage", storage());
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("a draft", () => {
  it("comes back in its own window, until the server has it", () => {
    expect(readDraft("a")).toBeNull();
    keepDraft("a", draft);
    expect(readDraft("a")).toMatchObject(draft);
    expect(readDraft("b")).toBeNull();
    dropDraft("a");
    expect(readDraft("a")).toBeNull();
  });

  it("is left alone by another window for half a minute", () => {
    keepDraft("a", draft);
    vi.stubGlobal("sessionStorage", storage());
    expect(readDraft("a")).toBeNull();
    vi.advanceTimersByTime(30_001);
    expect(readDraft("a")).toMatchObject(draft);
  });

  it("of one window does not touch that of another, and is dropped by whoever takes it up", () => {
    keepDraft("a", draft);
    const first = sessionStorage;
    vi.stubGlobal("sessionStorage", storage());
    keepDraft("a", { ...draft, revision: 7 });
    expect(readDraft("a")).toMatchObject({ revision: 7 });
    dropDraft("a");
    vi.stubGlobal("sessionStorage", first);
    expect(readDraft("a")).toMatchObject({ revision: 3 });
    readDraft("a")!.drop();
    expect(readDraft("a")).toBeNull();
  });

  it("is nothing where storage is forbidden or holds nonsense", () => {
    keepDraft("a", draft);
    localStorage.setItem(localStorage.key(0)!, "{");
    expect(readDraft("a")).toBeNull();
    vi.stubGlobal("localStorage", {
      getItem: () => {
        throw new Error("forbidden");
      },
      setItem: () => {
        throw new Error("full");
      },
    });
    expect(() => keepDraft("a", draft)).not.toThrow();
    expect(() => dropDraft("a")).not.toThrow();
    expect(readDraft("a")).toBeNull();
  });
});
