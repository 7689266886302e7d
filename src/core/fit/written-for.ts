/** A signature written for somebody whose own pictures may not be made yet: places for them are as large as they will be. */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import type { Person } from "../people";
import { pictureKey, picturesToMake } from "../signature";

/** Addresses of pictures do not move anything. */
const anyBase = "https://pictures.example";
const standing = "/h/00000000000000000000/own.png";

export function writtenFor(document: Node, person: Person, base: string = anyBase): string {
  const wanted = picturesToMake(document, person);
  const pictures = Object.fromEntries(
    wanted.map((picture) => {
      const key = pictureKey(picture);
      return [key, person.pictures?.[key] ?? standing];
    }),
  );
  const pictured = wanted.length > 0 ? { ...person, pictures } : person;
  return compile(document, { destination: "webmail-paste", person: pictured, base });
}
