import { publicBase } from "@/server/configuration";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { formatCount } from "@/ui/parts/format";
import { SiteHeader } from "@/ui/parts/site-header";
import { PictureList } from "@/ui/pictures/picture-list";
import { UploadArea } from "@/ui/pictures/upload-area";

export const metadata = { title: "Pictures" };

export default async function PicturesPage() {
  const pictures = await pictureCatalogue();
  const cuts = pictures.reduce((sum, entry) => sum + entry.cuts.length, 0);
  return (
    <>
      <SiteHeader current="Pictures" />
      <main className="mx-auto max-w-[1240px] px-5 pb-10">
        <div className="flex items-end gap-4 pb-4 pt-3">
          <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Pictures</h1>
          <p className="pb-1.5 text-soft">
            {formatCount(pictures.length, "original")} · {formatCount(cuts, "cut")}
          </p>
        </div>
        <UploadArea />
        <div className="mt-6">
          {pictures.length === 0 ? (
            <p className="border-t border-pine py-10 text-center text-soft">
              No picture yet. Upload a photo or a logo: it is kept as it is, and cut to size where you place
              it.
            </p>
          ) : (
            <PictureList pictures={pictures} base={publicBase()} />
          )}
        </div>
      </main>
    </>
  );
}
