import { addressOf, endpoints, type IconChoice } from "@/contract";
import { isGlyph } from "@/core/icons";
import { ownIconOf, type NetworkKind } from "@/core/links";
import { GlyphDrawing } from "./glyph-drawing";

/** What an icon of a network is drawn from: the user's own icon, or a glyph. */
export function networkChoice(network: NetworkKind): IconChoice {
  const hash = ownIconOf(network);
  return hash ? { kind: "own", hash } : { kind: "glyph", glyph: network.glyph };
}

interface Props {
  readonly choice: IconChoice;
  readonly weight?: "line" | "solid";
  readonly size?: number;
}

/** What an icon is made from, small. */
export function IconMark({ choice, weight = "line", size = 20 }: Props) {
  if (choice.kind === "own")
    return (
      <img
        src={addressOf(endpoints.pictureThumbnail, { hash: choice.hash })}
        alt=""
        style={{ maxWidth: size, maxHeight: size }}
        className="object-contain"
      />
    );
  if (choice.kind === "glyph" && isGlyph(choice.glyph))
    return <GlyphDrawing name={choice.glyph} weight={weight} size={size} />;
  return null;
}
