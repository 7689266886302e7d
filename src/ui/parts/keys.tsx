const names: Readonly<Record<string, string>> = {
  Mod: "Ctrl",
  ArrowUp: "↑",
  ArrowDown: "↓",
  ArrowLeft: "←",
  ArrowRight: "→",
  Escape: "Esc",
};

/** How a key combination is read out: "Alt Shift ↑". */
export const keyNames = (keys: string): readonly string[] =>
  keys.split("-").map((key) => names[key] ?? (key.length === 1 ? key.toUpperCase() : key));

/** A key combination, as it is printed on keys. */
export function Keys({ keys }: { keys: string }) {
  return <span className="ml-auto whitespace-nowrap pl-4 text-xs text-soft">{keyNames(keys).join(" ")}</span>;
}
