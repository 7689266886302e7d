/** What a kit of a stored signature is made of, its pictures' bytes with it. */
import { picturesOfKit, type KitSource } from "@/core/install";
import type { Person } from "@/core/people";
import { hasOwnPictures, hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { withOwnPictures } from "../people/own-pictures";
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
  const whose = await withOwnPictures(full, person);
  const source = { name, full, short, person: whose, base: await publicBase() };
  return { ...source, pictures: await kitPictures(pictureStore(), picturesOfKit(source)) };
}

/** The same for somebody, with the bytes of the pictures that are their own beside those that everybody's has. */
export async function kitSourceFor(
  source: KitSource,
  person: Person,
): Promise<KitSource & { readonly person: Person }> {
  if (!hasOwnPictures(source.full)) return { ...source, person };
  const own = { ...source, person: (await withOwnPictures(source.full, person)) ?? person };
  const others = picturesOfKit(own).filter((path) => !source.pictures.has(path));
  const pictures = new Map([...source.pictures, ...(await kitPictures(pictureStore(), others))]);
  return { ...own, pictures };
}
