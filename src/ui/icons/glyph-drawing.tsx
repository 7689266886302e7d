import { glyphDrawing } from "@/core/icons";

interface Props {
  readonly name: string;
  readonly weight?: "line" | "solid";
  readonly size?: number;
}

/** A glyph in the colour of the text around it. */
export function GlyphDrawing({ name, weight = "line", size = 20 }: Props) {
  const { viewBox, content } = glyphDrawing(name, weight);
  return (
    <svg
      aria-hidden
      width={size}
      height={size}
      viewBox={viewBox}
      fill="currentColor"
      // Of the icon set that ships with the application, paths only; no input reaches it.
      dangerouslySetInnerHTML={{ __html: content }}
    />
  );
}
