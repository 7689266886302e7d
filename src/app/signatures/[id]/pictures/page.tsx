import { findForeignPictures } from "@/server/addresses/foreign-pictures";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { parseSignature, pictureSourcesOf } from "@/core/signature";
import { isHosted } from "@/core/addresses";
import { signatureBudget } from "@/core/pictures";
import { webSpaceBase } from "@/server/invented-sites/web-space";
import { formatBytes } from "@/ui/parts/format";
import { ForeignList } from "@/ui/pictures/addresses/foreign-list";
import { PublishPanel } from "@/ui/pictures/addresses/publish-panel";
import { PictureList } from "@/ui/pictures/picture-list";
import { UploadArea } from "@/ui/pictures/upload-area";
import { FindingList } from "@/ui/signature/finding-list";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Pictures of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignaturePicturesPage({ params }: Props) {
  const [signature, people, catalogue] = await Promise.all([
    openOrNotFound((await params).id),
    peopleChoices(),
    pictureCatalogue(),
  ]);
  const sources = new Set(pictureSourcesOf(parseSignature(signature.document)));
  const placed = catalogue.entries
    .map(({ original, cuts }) => ({ original, cuts: cuts.filter(({ source }) => sources.has(source)) }))
    .filter(({ cuts }) => cuts.length > 0);
  const foreign = [...sources].filter((source) => /^https?:/i.test(source));
  const looked = await findForeignPictures(foreign);
  const published = signature.cuts.filter(({ source }) => !isHosted(source));
  const findings = signature.findings.filter(({ station }) => station === "pictures");
  return (
    <Station signature={signature} people={people} current="pictures">
      <div className="grid grid-cols-[minmax(0,1fr)_260px] gap-8">
        <div className="min-w-0">
          <div className="flex items-baseline gap-3 pb-3">
            <h1 className="font-serif text-2xl">Pictures in this signature</h1>
            <p className={signature.weight > signatureBudget ? "text-clay" : "text-soft"}>
              {formatBytes(signature.weight)} together, of {formatBytes(signatureBudget)}
            </p>
          </div>
          {placed.length === 0 && foreign.length === 0 ? (
            <p className="mb-6 border-t border-pine py-8 text-soft">
              There is none yet. Click into a cell under Build and choose Picture.
            </p>
          ) : (
            <PictureList entries={placed} base={signature.base} signatureId={signature.id} />
          )}
          {foreign.length > 0 && (
            <ForeignList
              addresses={foreign}
              looked={looked}
              published={published.map(({ source, fileName }) => ({ address: source, fileName }))}
            />
          )}
          <PublishPanel
            signatureId={signature.id}
            hosted={signature.cuts.length - published.length}
            published={published.length}
            inventedSpace={webSpaceBase}
          />
          <div className="mt-6">
            <UploadArea />
          </div>
        </div>
        <aside aria-label="Findings">
          <h2 className="mb-3 font-serif text-2xl">Findings</h2>
          <FindingList
            findings={findings}
            empty="Every picture is at an address, light and sharp enough, and says what it shows."
          />
        </aside>
      </div>
    </Station>
  );
}
