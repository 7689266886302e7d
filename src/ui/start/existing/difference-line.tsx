import type { ImportDifference } from "@/core/importing";

function said({ total, moved, missing, farthest, before, after }: ImportDifference): string {
  if (total === 0) return "Nothing in it is drawn.";
  const things = `${total} ${total === 1 ? "word or picture" : "words and pictures"}`;
  const size =
    before.width === after.width && before.height === after.height
      ? `${after.width} × ${after.height} px, as before`
      : `${before.width} × ${before.height} px became ${after.width} × ${after.height} px`;
  if (missing === 0 && moved === 0)
    return `${things} stand where they stood, within ${farthest} px; ${size}.`;
  const parts = [
    moved > 0 ? `${moved} of ${things} moved, by ${farthest} px at most` : "",
    missing > 0 ? `${missing} not drawn` : "",
  ];
  return `${parts.filter((part) => part).join(", ")}; ${size}.`;
}

/** How far what begins here is from what it was. */
export function DifferenceLine({ difference }: { readonly difference: ImportDifference | null }) {
  const still = difference !== null && difference.moved === 0 && difference.missing === 0;
  return (
    <p
      role="status"
      className={`text-sm ${difference === null ? "text-soft" : still ? "text-lichen" : "text-clay"}`}
    >
      {difference === null ? "Measuring…" : said(difference)}
    </p>
  );
}
