/** What a measured proof is said to be, in a few words. */
import { unstillReason, type PartDrift, type UnstillReason } from "@/core/layout";
import { formatCount } from "../../parts/format";
import type { MeasuredProof } from "./measure-proofs";

const px = (length: number): string =>
  `${length < 10 ? Math.round(length * 10) / 10 : Math.round(length)} px`;

/** Why one part is not still, said of it. */
export function saidOfPart(part: PartDrift): string {
  const said: Readonly<Record<UnstillReason, string>> = {
    missing: "is gone",
    wrapped: "wraps differently",
    moved: `moved ${px(part.moved)}`,
    unreadable: `has ${(part.contrast ?? 0).toFixed(1)}:1`,
    vanished: `stands out in ${Math.round((part.visibility ?? 0) * 100)} % of it`,
  };
  const reason = unstillReason(part);
  return reason === null ? "is still" : said[reason];
}

/** What a part is called: by what it says, or by what it is. */
export function partName({ kind, text }: Pick<PartDrift, "kind" | "text">): string {
  if (kind === "box") return text === "border" ? "A border" : "A filled cell";
  return text ? `“${text.slice(0, 60)}”` : "A picture";
}

const words: Readonly<Record<UnstillReason, (parts: readonly PartDrift[]) => string>> = {
  missing: (parts) => `${parts.length} gone`,
  wrapped: (parts) => `${parts.length} wrapped`,
  moved: (parts) => `moved ${px(Math.max(...parts.map(({ moved }) => moved)))}`,
  unreadable: (parts) => `${formatCount(parts.length, "text")} hard to read`,
  vanished: (parts) => `${formatCount(parts.length, "picture")} vanished`,
};

const order: readonly UnstillReason[] = ["missing", "vanished", "wrapped", "moved", "unreadable"];

/** "moved 12 px, 2 texts hard to read", or "still". */
export function saidOf({ drift }: Pick<MeasuredProof, "drift">): string {
  const found = order.flatMap((reason) => {
    const parts = drift.filter((part) => unstillReason(part) === reason);
    return parts.length > 0 ? [words[reason](parts)] : [];
  });
  return found.length === 0 ? "still" : found.join(", ");
}

/** What else there is to know of it. */
export function notesOf({ overflow, scale, smallestType }: MeasuredProof): readonly string[] {
  return [
    ...(overflow > 0 ? [`${overflow} px wider than its pane`] : []),
    ...(scale < 1 ? [`shown at ${Math.round(scale * 100)} %, type of ${px(smallestType)}`] : []),
  ];
}
