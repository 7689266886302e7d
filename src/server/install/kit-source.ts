/** What a kit of a stored signature is made of, its pictures' bytes with it. */
import { picturesOfKit, type KitSource } from "@/core/install";
import type { Person } from "@/core/people";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import type { StoredSignature } from "../signatures/signatures";
import { kitPictures } from "../store/kit-pictures";
import { pictureStore } from "../store/store";

export async function kitSource(
  { name, document }: StoredSignature,
  person: Person | null,
): Promise<KitSource> {
  const full = parseSignature(document);
  const short = hasShortForm(full) ? shortForm(full) : null;
  const source = { name, full, short, person, base: await publicBase() };
  return { ...source, pictures: await kitPictures(pictureStore(), picturesOfKit(source)) };
}
