import { publicBase } from "@/server/addresses/public-address";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { formatCount } from "@/ui/parts/format";
import { PictureList } from "@/ui/pictures/picture-list";
import { PicturesFrame } from "@/ui/pictures/pictures-frame";
import { UploadArea } from "@/ui/pictures/upload-area";

export const metadata = { title: "Pictures" };

export default async function PicturesPage() {
  const [{ entries }, base] = await Promise.all([pictureCatalogue(), publicBase()]);
  const cuts = entries.reduce((sum, entry) => sum + entry.cuts.length, 0);
  return (
    <PicturesFrame
      current="Originals and cuts"
      count={`${formatCount(entries.length, "original")} · ${formatCount(cuts, "cut")}`}
    >
      <UploadArea />
      <div className="mt-6">
        {entries.length === 0 ? (
          <p className="border-t border-pine py-10 text-center text-soft">
            No picture yet. Upload a photo or a logo: it is kept as it is, and cut to size where you place it.
          </p>
        ) : (
          <PictureList entries={entries} base={base} />
        )}
      </div>
    </PicturesFrame>
  );
}
