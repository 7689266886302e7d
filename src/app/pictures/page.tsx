import { longestSearch } from "@/contract";
import { publicBase } from "@/server/addresses/public-address";
import { findPictures, pictureEntries } from "@/server/pictures/catalogue";
import { formatCount } from "@/ui/parts/format";
import { PictureLibrary } from "@/ui/pictures/picture-library";
import { PicturesFrame } from "@/ui/pictures/pictures-frame";
import { UploadArea } from "@/ui/pictures/upload-area";
import type { Asked } from "../asked";

export const metadata = { title: "Pictures" };

/** Entries that the page brings along: as many as the first window shows, and some below it. */
const first = 8;

export default async function PicturesPage({ searchParams }: { readonly searchParams: Asked }) {
  const asked = (await searchParams).look;
  const look = typeof asked === "string" ? asked.slice(0, longestSearch).trim() : "";
  const [{ hashes, all }, base] = await Promise.all([findPictures(look), publicBase()]);
  return (
    <PicturesFrame
      current="Originals and cuts"
      count={`${formatCount(all.originals, "original")} · ${formatCount(all.cuts, "cut")}`}
    >
      <UploadArea />
      <div className="mt-6">
        {all.originals === 0 ? (
          <p className="border-t border-pine py-10 text-center text-soft">
            No picture yet. Upload a photo or a logo: it is kept as it is, and cut to size where you place it.
          </p>
        ) : (
          <PictureLibrary
            hashes={hashes}
            all={all.originals}
            entries={await pictureEntries(hashes.slice(0, first))}
            base={base}
            look={look}
          />
        )}
      </div>
    </PicturesFrame>
  );
}
