import type { Recipe } from "@/core/pictures";
import { findOrganisation } from "@/server/settings/organisation";
import { listCuts } from "@/server/pictures/cuts";
import { listOriginals } from "@/server/pictures/originals";
import { NewLoop } from "@/ui/pictures/loop/new-loop";

export const metadata = { title: "A new loop" };

interface Props {
  readonly searchParams: Promise<{ original?: string }>;
}

export default async function NewLoopPage({ searchParams }: Props) {
  const [originals, cuts, organisation, { original }] = await Promise.all([
    listOriginals(),
    listCuts(),
    findOrganisation(),
    searchParams,
  ]);
  const circles: Record<string, Recipe> = {};
  for (const { recipe, originalHash } of cuts)
    if (recipe?.frame.shape === "circle" && originalHash) circles[originalHash] ??= recipe;
  return (
    <NewLoop
      originals={originals}
      circles={circles}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
      chosen={original ?? null}
    />
  );
}
