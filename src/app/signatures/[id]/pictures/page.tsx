import { findForeignPictures } from "@/server/addresses/foreign-pictures";
import { findPublished } from "@/server/addresses/publish";
import { pictureEntries } from "@/server/pictures/catalogue";
import { madeOf } from "@/server/pictures/cuts";
import { parseSignature, pictureSourcesOf } from "@/core/signature";
import { isHosted } from "@/core/addresses";
import { webSpaceBase } from "@/server/invented-sites/web-space";
import { PublishPanel } from "@/ui/pictures/addresses/publish-panel";
import { SignaturePictures } from "@/ui/pictures/signature-pictures";
import { UploadArea } from "@/ui/pictures/upload-area";
import { openOrNotFound } from "../open-or-not-found";
import { openedStation } from "../opened-station";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Pictures of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignaturePicturesPage({ params }: Props) {
  const signature = await openOrNotFound((await params).id);
  const sources = new Set(pictureSourcesOf(parseSignature(signature.document)));
  const entries = await pictureEntries([...new Set(signature.cuts.flatMap(madeOf))]);
  const placed = entries
    .map(({ original, cuts }) => ({ original, cuts: cuts.filter(({ source }) => sources.has(source)) }))
    .filter(({ cuts }) => cuts.length > 0);
  const foreign = [...sources].filter((source) => /^https?:/i.test(source));
  const [looked, published] = await Promise.all([findForeignPictures(foreign), findPublished(signature.id)]);
  const shownFromThere = published.filter(({ address }) => sources.has(address));
  return (
    <SignaturePictures
      key={signature.id}
      {...await openedStation(signature)}
      placed={placed}
      looked={looked}
      published={shownFromThere.map(({ address, fileName }) => ({ address, fileName }))}
    >
      <PublishPanel
        signatureId={signature.id}
        hosted={signature.cuts.filter(({ source }) => isHosted(source)).length}
        published={shownFromThere.length}
        inventedSpace={webSpaceBase}
      />
      <div className="mt-6">
        <UploadArea />
      </div>
    </SignaturePictures>
  );
}
