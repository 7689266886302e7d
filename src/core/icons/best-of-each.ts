/** Packs of icons often hold each icon in several sizes: the best file of each is kept. */

export interface IconFile {
  /** Base name, with its ending. */
  readonly name: string;
  readonly type: string;
  /** px. */
  readonly width: number;
  readonly height: number;
}

/** What the files of one icon have in common: the name without ending, size, density and style words at its end. */
export function iconName(fileName: string): string {
  const bare = fileName.replace(/\.[a-z0-9]+$/i, "").replace(/[\s_.]+/g, "-");
  const plain = bare
    .replace(/(?:[-@]+(?:\d{1,4}(?:x\d{1,4})?(?:px)?|[1-4]x|small|medium|large|icon))+$/i, "")
    .replace(/^(?:icon|ico)-+/i, "");
  return (plain || bare).toLowerCase();
}

/** A name as people read it: "bench-and-bough" is "Bench and bough". */
export const shownName = (name: string): string => {
  const words = name.replace(/-+/g, " ").trim();
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** A drawing that has the pixels that are asked for comes first, then what has the most of them. */
const better = (one: IconFile, other: IconFile): number =>
  Number(other.type === "svg") - Number(one.type === "svg") ||
  Math.min(other.width, other.height) - Math.min(one.width, one.height);

/** The best file of each icon, in the order in which the icons first come. */
export function bestOfEach<T extends IconFile>(files: readonly T[]): readonly T[] {
  const groups = new Map<string, T[]>();
  for (const file of files) {
    const name = iconName(file.name);
    groups.set(name, [...(groups.get(name) ?? []), file]);
  }
  return [...groups.values()].map((group) => group.sort(better)[0]!);
}
