/** The picture by which the public address is checked: it belongs to nobody, and is always there. */
import { contentHash } from "../imaging/content-hash";

/** 8 × 8 px of pine, as PNG. */
const bytes = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAEUlEQVQImWOQjw7HihiGlgQAXPQ0QU07tykAAAAASUVORK5CYII=",
  "base64",
);

export const testPicture = { hash: contentHash(bytes), fileName: "still-line-test.png", bytes } as const;
