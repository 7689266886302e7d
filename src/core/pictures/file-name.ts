/** File names that a recipient could read and every server and mail client keeps: `tamsin-okafor.png`. */

const combining = /[\u0300-\u036f]/g;

export type HostedType = "png" | "jpeg" | "gif";

const extensions: Readonly<Record<HostedType, string>> = { png: "png", jpeg: "jpg", gif: "gif" };

/** Lower-case words joined by hyphens, at most 60 characters, with the extension of the real type. */
export function publicFileName(name: string, type: HostedType): string {
  const words = name
    .replace(/\.[A-Za-z0-9]{1,5}$/, "")
    .normalize("NFKD")
    .replace(combining, "")
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== "")
    .join("-")
    .slice(0, 60)
    .replace(/-$/, "");
  return `${words || "picture"}.${extensions[type]}`;
}

/** The same names, each but the first of its kind numbered: `photo.jpg`, `photo-2.jpg`. */
export function keptApart(names: readonly string[]): readonly string[] {
  const taken = new Set<string>();
  /** Where counting goes on: of thousands of the same name none is asked for twice. */
  const next = new Map<string, number>();
  return names.map((name) => {
    const dot = name.lastIndexOf(".");
    const [stem, extension] = dot > 0 ? [name.slice(0, dot), name.slice(dot)] : [name, ""];
    let free = name;
    let number = next.get(name.toLowerCase()) ?? 2;
    for (; taken.has(free.toLowerCase()); number++) free = `${stem}-${number}${extension}`;
    next.set(name.toLowerCase(), number);
    taken.add(free.toLowerCase());
    return free;
  });
}
