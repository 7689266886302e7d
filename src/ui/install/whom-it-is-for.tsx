import Link from "next/link";
import type { ListedGiven } from "@/contract";
import { formatCount } from "../parts/format";
import { whomWords } from "../people/giving/giving-words";

export type GivenTo = Pick<ListedGiven, "audience" | "named" | "people">;

/** Whom a signature is given to, and where that is said. */
export const WhomItIsFor = ({ audience, named, people }: GivenTo) => (
  <p className="pb-3 text-soft">
    It is for <bdi>{whomWords({ audience, named })}</bdi>
    {audience.kind !== "nobody" && ` (${formatCount(people, "person", "people")})`}.{" "}
    <Link href="/people/signatures" prefetch={false} className="text-pine underline">
      Who gets what
    </Link>
  </p>
);
