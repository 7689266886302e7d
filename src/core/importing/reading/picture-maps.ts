/** Picture maps: few clients read them, so that a picture takes the first of its links. */
import { append } from "../../values";
import { attributeOf, isElement, type Element } from "../../html";
import type { Reporter } from "../report";
import { leadingTo } from "../style/cascade";
import type { Look } from "../style/look";

/** The areas of every map of a message, by the map's name; the first of one name counts. */
function areasByMap(body: Element): ReadonlyMap<string, readonly Element[]> {
  const maps = new Map<string, readonly Element[]>();
  const waiting: Element[] = [body];
  for (let one = waiting.pop(); one; one = waiting.pop()) {
    if (one.tagName === "map") {
      const name = attributeOf(one, "name") ?? attributeOf(one, "id") ?? "";
      if (!maps.has(name))
        maps.set(
          name,
          one.childNodes.filter(isElement).filter(({ tagName }) => tagName === "area"),
        );
    } else append(waiting, one.childNodes.filter(isElement));
  }
  return maps;
}

export class PictureMaps {
  private known: ReadonlyMap<string, readonly Element[]> | null = null;

  constructor(
    private readonly body: Element,
    private readonly reporter: Reporter,
  ) {}

  /** Where the areas of a picture's map lead, in their order. */
  private linksOf(picture: Element): readonly string[] {
    const name = (attributeOf(picture, "usemap") ?? "").replace(/^#/, "");
    if (name === "") return [];
    this.known ??= areasByMap(this.body);
    return (this.known.get(name) ?? []).flatMap((area) => leadingTo(attributeOf(area, "href")) ?? []);
  }

  /** The look of a picture with where it leads; what its map loses is told. */
  lookOf(picture: Element, look: Look): Look {
    if (attributeOf(picture, "usemap") === null) return look;
    const { say } = this.reporter;
    const reason = "few clients read it: the whole picture takes its first link";
    say(picture, "changed", "map", "a picture map", reason);
    const [first, ...others] = this.linksOf(picture);
    for (const href of others) say(picture, "lost", "link", href, "a picture leads to one place");
    if (first === undefined) return look;
    if (look.link !== null) say(picture, "lost", "link", look.link, "a picture leads to one place");
    return { ...look, link: first };
  }
}
