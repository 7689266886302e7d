import { listUnused } from "@/server/pictures/unused";
import { formatCount } from "@/ui/parts/format";
import { PicturesFrame } from "@/ui/pictures/pictures-frame";
import { UnusedList } from "@/ui/pictures/unused-list";

export const metadata = { title: "Unused pictures" };

export default async function UnusedPage() {
  const unused = await listUnused();
  return (
    <PicturesFrame
      current="Unused"
      count={formatCount(
        unused.cuts.length + unused.originals.length,
        "picture that nothing uses",
        "pictures that nothing uses",
      )}
    >
      <UnusedList unused={unused} />
    </PicturesFrame>
  );
}
