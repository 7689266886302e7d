/** File names that a recipient could read and every server and mail client keeps: `tamsin-okafor.png`. */

const combining = /[\u0300-\u036f]/g;

/** Lower-case words joined by hyphens, at most 60 characters, with the extension of the real type. */
export function publicFileName(name: string, type: "png" | "jpeg"): string {
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
  return `${words || "picture"}.${type === "jpeg" ? "jpg" : "png"}`;
}
